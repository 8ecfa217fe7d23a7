import { App as AntApp, ConfigProvider } from 'antd';
import { type ComponentType, useEffect, useState } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import type { Kind } from './api/types';
import { CalendarsScreen } from './calendars/CalendarsScreen';
import { CallScreen } from './call/CallScreen';
import { CallersScreen } from './callers/CallersScreen';
import { ChangesScreen } from './editions/ChangesScreen';
import { EditionsScreen } from './editions/EditionsScreen';
import { FilesScreen } from './files/FilesScreen';
import { HoursScreen } from './hours/HoursScreen';
import { JourneysScreen } from './journeys/JourneysScreen';
import { LinesScreen } from './lines/LinesScreen';
import { MailboxesScreen } from './mailboxes/MailboxesScreen';
import { MapScreen } from './map/MapScreen';
import { AllNumbersScreen } from './numbers/AllNumbersScreen';
import { NumbersScreen } from './numbers/NumbersScreen';
import { OutboxScreen } from './outbox/OutboxScreen';
import { OpenNowScreen } from './overrides/OpenNowScreen';
import { PeopleScreen } from './people/PeopleScreen';
import { ALL_KINDS, KINDS } from './plan/kinds';
import { PromptsScreen } from './prompts/PromptsScreen';
import { OnDutyScreen } from './queues/OnDutyScreen';
import { OverflowScreen } from './queues/OverflowScreen';
import { QueuesScreen } from './queues/QueuesScreen';
import { SitesScreen } from './sites/SitesScreen';
import { TeamsScreen } from './teams/TeamsScreen';
import { type Mode, themeFor } from './theme';
import { Shell } from './ui/Shell';

/** The screen of every kind of element. */
const SCREENS: Record<Kind, ComponentType> = {
    number: NumbersScreen,
    journey: JourneysScreen,
    hours: HoursScreen,
    calendar: CalendarsScreen,
    person: PeopleScreen,
    team: TeamsScreen,
    queue: QueuesScreen,
    callers: CallersScreen,
    prompt: PromptsScreen,
    mailbox: MailboxesScreen,
    line: LinesScreen,
    site: SitesScreen,
};

const STORED_MODE = 'meandros.mode';

function firstMode(): Mode {
    const stored = localStorage.getItem(STORED_MODE);
    if (stored === 'light' || stored === 'dark') return stored;
    return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function App() {
    const [mode, setMode] = useState<Mode>(firstMode);
    useEffect(() => {
        document.documentElement.dataset.mode = mode;
        localStorage.setItem(STORED_MODE, mode);
    }, [mode]);

    return (
        <ConfigProvider theme={themeFor(mode)}>
            <AntApp component={false}>
                <Routes>
                    <Route element={<Shell mode={mode} onMode={setMode} />}>
                        <Route index element={<CallScreen />} />
                        {ALL_KINDS.map((kind) => {
                            const Screen = SCREENS[kind];
                            return <Route key={kind} path={`${KINDS[kind].path}/:id?`} element={<Screen />} />;
                        })}
                        <Route path="open-now" element={<OpenNowScreen />} />
                        <Route path="on-duty" element={<OnDutyScreen />} />
                        <Route path="overflow" element={<OverflowScreen />} />
                        <Route path="all-numbers" element={<AllNumbersScreen />} />
                        <Route path="editions" element={<EditionsScreen />} />
                        <Route path="changes/:id?" element={<ChangesScreen />} />
                        <Route path="map/:id?" element={<MapScreen />} />
                        <Route path="outbox" element={<OutboxScreen />} />
                        <Route path="files" element={<FilesScreen />} />
                        <Route path="*" element={<Navigate to="/" replace />} />
                    </Route>
                </Routes>
            </AntApp>
        </ConfigProvider>
    );
}

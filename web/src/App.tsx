import { App as AntApp, ConfigProvider } from 'antd';
import { type ComponentType, useEffect, useState } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import type { Kind } from './api/types';
import { CallScreen } from './call/CallScreen';
import { ALL_KINDS, KINDS } from './plan/kinds';
import { type Mode, themeFor } from './theme';
import { later } from './ui/later';
import { Refusals } from './ui/Refusals';
import { Shell } from './ui/Shell';

const CalendarsScreen = later(() => import('./calendars/CalendarsScreen').then((part) => part.CalendarsScreen));
const CallersScreen = later(() => import('./callers/CallersScreen').then((part) => part.CallersScreen));
const ChangesScreen = later(() => import('./editions/ChangesScreen').then((part) => part.ChangesScreen));
const CoverageScreen = later(() => import('./coverage/CoverageScreen').then((part) => part.CoverageScreen));
const EditionsScreen = later(() => import('./editions/EditionsScreen').then((part) => part.EditionsScreen));
const ExpectationsScreen = later(() =>
    import('./expectations/ExpectationsScreen').then((part) => part.ExpectationsScreen),
);
const FilesScreen = later(() => import('./files/FilesScreen').then((part) => part.FilesScreen));
const HoursScreen = later(() => import('./hours/HoursScreen').then((part) => part.HoursScreen));
const JourneysScreen = later(() => import('./journeys/JourneysScreen').then((part) => part.JourneysScreen));
const LinesScreen = later(() => import('./lines/LinesScreen').then((part) => part.LinesScreen));
const MailboxesScreen = later(() => import('./mailboxes/MailboxesScreen').then((part) => part.MailboxesScreen));
const MapScreen = later(() => import('./map/MapScreen').then((part) => part.MapScreen));
const AllNumbersScreen = later(() => import('./numbers/AllNumbersScreen').then((part) => part.AllNumbersScreen));
const NumbersScreen = later(() => import('./numbers/NumbersScreen').then((part) => part.NumbersScreen));
const PaperScreen = later(() => import('./paper/PaperScreen').then((part) => part.PaperScreen));
const OutboxScreen = later(() => import('./outbox/OutboxScreen').then((part) => part.OutboxScreen));
const OpenNowScreen = later(() => import('./overrides/OpenNowScreen').then((part) => part.OpenNowScreen));
const PeopleScreen = later(() => import('./people/PeopleScreen').then((part) => part.PeopleScreen));
const PromptsScreen = later(() => import('./prompts/PromptsScreen').then((part) => part.PromptsScreen));
const OnDutyScreen = later(() => import('./queues/OnDutyScreen').then((part) => part.OnDutyScreen));
const OverflowScreen = later(() => import('./queues/OverflowScreen').then((part) => part.OverflowScreen));
const RecordingsScreen = later(() => import('./recordings/RecordingsScreen').then((part) => part.RecordingsScreen));
const QueuesScreen = later(() => import('./queues/QueuesScreen').then((part) => part.QueuesScreen));
const SitesScreen = later(() => import('./sites/SitesScreen').then((part) => part.SitesScreen));
const TeamsScreen = later(() => import('./teams/TeamsScreen').then((part) => part.TeamsScreen));

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
    expectation: ExpectationsScreen,
    settings: FilesScreen,
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
        <ConfigProvider theme={themeFor(mode)} renderEmpty={() => <p className="quiet pad">There is nothing here.</p>}>
            <AntApp component={false}>
                <Refusals />
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
                        <Route path="coverage" element={<CoverageScreen />} />
                        <Route path="all-numbers" element={<AllNumbersScreen />} />
                        <Route path="recordings" element={<RecordingsScreen />} />
                        <Route path="editions" element={<EditionsScreen />} />
                        <Route path="changes/:id?" element={<ChangesScreen />} />
                        <Route path="map/:id?" element={<MapScreen />} />
                        <Route path="paper" element={<PaperScreen />} />
                        <Route path="outbox" element={<OutboxScreen />} />
                        <Route path="*" element={<Navigate to="/" replace />} />
                    </Route>
                </Routes>
            </AntApp>
        </ConfigProvider>
    );
}

import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { HoursOutline, HoursState, Override } from '../api/types';
import { useHoursStates } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { BY_LABEL } from '../ui/searched';
import { dateWords, momentWords } from '../ui/when';
import { ForceButton } from './ForceDialog';
import { Ends, LiftButton } from './OverrideBanner';
import { useOverrides } from './useOverrides';

/** More sites than these are chosen from a list. */
const MOST_CHIPS = 5;

/** Which hours are open at the moment of the bar, each in its own zone; what is forced, and what was. */
export function OpenNowScreen() {
    const plan = usePlan();
    const states = useHoursStates();
    const { on, past } = useOverrides();
    const { search } = useMoment();
    const all = useMemo(() => plan?.all('hours') ?? [], [plan]);
    const open = all.filter((one) => states?.[one.id]?.open);
    const [only, setOnly] = useState('');
    if (!plan) return null;
    const sites = [...new Set(all.map((one) => one.site))];
    const nameOf = (site: string) => (site ? plan.get('site', site)?.name : 'All sites');
    const shown = only ? all.filter((one) => one.site === only) : all;
    return (
        <div className="one">
            <section className="sheet" aria-label="Open now">
                <h1>
                    {open.length} of {all.length} hours are open at this moment
                </h1>
                {sites.length > MOST_CHIPS && (
                    <Select
                        aria-label="Only one site"
                        style={{ width: 220 }}
                        value={only}
                        showSearch={BY_LABEL}
                        options={['', ...sites].map((site) => ({ value: site, label: nameOf(site) }))}
                        onChange={setOnly}
                    />
                )}
                {sites.length > 1 && sites.length <= MOST_CHIPS && (
                    <div className="brushes" role="group" aria-label="Only one site">
                        {['', ...sites].map((site) => (
                            <button
                                key={site}
                                type="button"
                                className="chip"
                                aria-pressed={only === site}
                                onClick={() => setOnly(site)}
                            >
                                {nameOf(site)}
                            </button>
                        ))}
                    </div>
                )}
                {all.length === 0 && <p className="quiet">There are no hours yet. Add some on the screen Hours.</p>}
                <ul className="board">
                    {shown.map((hours) => (
                        <BoardRow
                            key={hours.id}
                            hours={hours}
                            now={states?.[hours.id]}
                            site={plan.get('site', hours.site)?.name ?? ''}
                            search={search}
                        />
                    ))}
                </ul>
            </section>
            <section className="sheet" aria-label="Forced hours, listed">
                <h2>Forced now</h2>
                {on.length === 0 && <p className="quiet">Nothing: all hours follow their timetables.</p>}
                <ul className="plain">
                    {on.map((one) => (
                        <li key={one.id} className="line-row">
                            <OverrideWords override={one} /> <Ends override={one} />
                            <LiftButton override={one} />
                        </li>
                    ))}
                </ul>
                <h2>Before</h2>
                {past.length === 0 && <p className="quiet">Nothing was forced yet.</p>}
                <ul className="plain">
                    {past.slice(0, 20).map((one) => (
                        <li key={one.id}>
                            <OverrideWords override={one} />{' '}
                            <span className="quiet">
                                {one.liftedAt
                                    ? `Lifted by ${one.liftedBy}, ${momentWords(one.liftedAt, one.setAt)}.`
                                    : `Ended ${one.until ? momentWords(one.until, one.setAt) : ''}.`}
                            </span>
                        </li>
                    ))}
                </ul>
            </section>
        </div>
    );
}

function OverrideWords({ override }: { override: Override }) {
    return (
        <span>
            <b>{override.hoursName}</b> into {override.stateName} by {override.who}, {momentWords(override.setAt)}:{' '}
            {override.reason}.
        </span>
    );
}

function BoardRow({
    hours,
    now,
    site,
    search,
}: {
    hours: HoursOutline;
    now: HoursState | undefined;
    site: string;
    search: string;
}) {
    const name = (key: string | undefined) => hours.states.find((one) => one.key === key)?.name ?? key;
    return (
        <li className={now?.open ? 'board-row open' : 'board-row'}>
            <span className="board-state">
                <StateSign open={now?.open ?? false} />
                <b>{name(now?.state) ?? '…'}</b>
            </span>
            <span className="board-name">
                <Link to={{ pathname: `/hours/${hours.id}`, search }}>{hours.name}</Link>
                <span className="quiet">
                    {site}
                    {now && `, ${dateWords(now.local, false)} ${now.local.slice(11, 16)}`}
                </span>
            </span>
            <span className="board-why">
                {now?.reason}
                {now?.next && (
                    <span className="quiet">
                        Then {name(now.next.state)}, {momentWords(now.next.at, now.local)}: {now.next.reason}
                    </span>
                )}
            </span>
            {now && <ForceButton hours={hours} zone={now.zone} />}
        </li>
    );
}

/** Open and shut told apart by shape: a lifted gate, a lowered one. */
function StateSign({ open }: { open: boolean }) {
    return (
        <svg width="18" height="16" viewBox="0 0 18 16" aria-hidden="true" className={open ? 'sign open' : 'sign'}>
            <path d={open ? 'M3 15V6M3 7L15 1' : 'M3 15V6M3 8H17'} />
        </svg>
    );
}

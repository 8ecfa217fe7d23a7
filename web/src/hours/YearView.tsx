import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Hours, HoursState, State, Year } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { useOverrideStamp } from '../overrides/useOverrides';
import { useBody, usePlan } from '../plan/usePlan';
import { BY_LABEL } from '../ui/searched';
import { dateWords } from '../ui/when';
import { StatePattern, stateFill } from './StatePattern';
import { YearChart } from './YearChart';

/** A year of hours at a glance, alone or beside other hours. */
export function YearView({ hours, now }: { hours: Hours; now: HoursState | undefined }) {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const forced = useOverrideStamp();
    const [ahead, setAhead] = useState(0);
    const [other, setOther] = useState<string | null>(null);
    const year = (Number(moment.at.slice(0, 4)) || 2027) + ahead;
    const { data, error } = useQuery<Year>({
        queryKey: ['year', moment.in, hours.id, year, other, plan?.stamp, forced],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/hours/{id}/year', {
                    params: {
                        path: { which: moment.in, id: hours.id },
                        query: { year, ...(other ? { with: other } : {}) },
                    },
                }),
            ),
        placeholderData: keepPreviousData,
    });
    const second = useBody('hours', other);
    const states = second ? compared(hours, second) : hours.states;
    const go = (date: string, clock: string) => {
        if (data) change({ at: `${date}T${clock}`, zone: data.zone });
        setAhead(0);
    };

    return (
        <>
            <div className="line-row wrap">
                <Button size="small" aria-label={`Year ${year - 1}`} onClick={() => setAhead(ahead - 1)}>
                    ‹
                </Button>
                <b className="figures">{year}</b>
                <Button size="small" aria-label={`Year ${year + 1}`} onClick={() => setAhead(ahead + 1)}>
                    ›
                </Button>
                <Select
                    aria-label="Compare with"
                    size="small"
                    allowClear
                    showSearch={BY_LABEL}
                    placeholder="Compare with other hours"
                    style={{ width: 230 }}
                    value={other}
                    options={(plan?.all('hours') ?? [])
                        .filter((one) => one.id !== hours.id)
                        .map((one) => ({ value: one.id, label: one.name }))}
                    onChange={(next: string | undefined) => setOther(next ?? null)}
                />
                <Legend states={states} hours={hours} />
            </div>
            {error && <p className="alarm">{error.message}</p>}
            {data ? (
                <>
                    <YearChart year={data} states={states} now={now} onGo={go} />
                    <Marks year={data} onGo={go} />
                </>
            ) : (
                <p className="quiet">Drawing the year …</p>
            )}
        </>
    );
}

/** The states of a comparison: both open, one of them, or neither. */
function compared(first: Hours, second: Hours): State[] {
    return [
        { key: 'both', name: 'Both open', open: true },
        { key: 'first', name: `Only ${first.name}`, open: true },
        { key: 'second', name: `Only ${second.name}`, open: true },
        { key: 'neither', name: 'Neither', open: false },
    ];
}

function Legend({ states, hours }: { states: State[]; hours: Hours }) {
    return (
        <span className="legend">
            {states.map((one) => (
                <span key={one.key}>
                    <svg width="22" height="14" aria-hidden="true">
                        <StatePattern states={states} />
                        <rect width="22" height="14" rx="2" fill={stateFill({ ...hours, states }, one.key)} />
                    </svg>
                    {one.name}
                </span>
            ))}
        </span>
    );
}

/** What the marks of the picture stand for, as a list to read and to click. */
function Marks({ year, onGo }: { year: Year; onGo: (date: string, clock: string) => void }) {
    const lists = [
        { title: 'Special days', items: year.specialDays.map((one) => ({ date: one.date, text: one.name })) },
        {
            title: 'Holidays',
            items: year.holidays.map((one) => ({
                date: one.date,
                text: one.kept ? one.name : `${one.name} (not kept here)`,
            })),
        },
        {
            title: 'Seasons',
            items: year.seasons.map((one) => ({ date: one.from, text: `${one.name}, to ${dateWords(one.to, false)}` })),
        },
        { title: 'Clocks change', items: year.clockChanges.map((one) => ({ date: one.date, text: one.text })) },
    ];
    return (
        <div className="marks">
            {lists
                .filter((list) => list.items.length > 0)
                .map((list) => (
                    <section key={list.title} aria-label={list.title}>
                        <h3>{list.title}</h3>
                        <ul className="plain">
                            {list.items.map((one) => (
                                <li key={one.date + one.text}>
                                    <button
                                        type="button"
                                        className="link-row"
                                        onClick={() => onGo(one.date, '12:00:00')}
                                    >
                                        <span className="figures">{dateWords(one.date, false)}</span>
                                        <span>{one.text}</span>
                                    </button>
                                </li>
                            ))}
                        </ul>
                    </section>
                ))}
        </div>
    );
}

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Hours } from '../api/types';
import { useMomentZone } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { useOverrideStamp } from '../overrides/useOverrides';
import { usePlan } from '../plan/usePlan';
import { clockWords, dateWords } from '../ui/when';

const FIRST = 20;
const MOST = 60;

/** What the hours will do from the moment of the bar on; a click goes to the change. */
export function Changes({ hours }: { hours: Hours }) {
    const { moment, change } = useMoment();
    const zone = useMomentZone();
    const plan = usePlan();
    const forced = useOverrideStamp();
    const [most, setMost] = useState(FIRST);
    const query = useQuery({
        queryKey: ['changes', moment.in, hours.id, moment.at, zone, most, plan?.stamp, forced],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/hours/{id}/changes', {
                    params: { path: { which: moment.in, id: hours.id }, query: { at: moment.at, zone, most } },
                }),
            ),
        enabled: Boolean(moment.at),
        placeholderData: keepPreviousData,
    });
    const changes = query.data?.changes ?? [];
    const name = (key: string) => hours.states.find((one) => one.key === key);
    const own = hours.zone ?? plan?.get('site', hours.site)?.zone ?? 'UTC';
    return (
        <>
            {query.isSuccess && changes.length === 0 && <p className="quiet">No change in sight.</p>}
            <table className="changes">
                <thead>
                    <tr>
                        <th>When</th>
                        <th>Into</th>
                        <th>Because</th>
                    </tr>
                </thead>
                <tbody>
                    {changes.map((one) => (
                        <tr key={one.at}>
                            <td className="figures nowrap">
                                <button
                                    type="button"
                                    className="link-row"
                                    onClick={() => change({ at: one.at.slice(0, 19), zone: own })}
                                >
                                    {dateWords(one.at)} {clockWords(one.at)}
                                </button>
                            </td>
                            <td>
                                <span className={`state ${name(one.state)?.open ? 'open' : 'shut'}`}>
                                    {name(one.state)?.name ?? one.state}
                                </span>
                            </td>
                            <td className="quiet">{one.reason}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {changes.length === most && most < MOST && (
                <Button size="small" type="text" onClick={() => setMost(MOST)}>
                    Show more
                </Button>
            )}
        </>
    );
}

import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { LeadHere } from '../numbers/LeadHere';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { InItsPlace } from './InItsPlace';
import { useCalm } from './useCalm';

/** After an edit, its answer comes first. */
const CALM = 250;
const FIRST = 30;

/** Where an element of the draft is used, and what is to be used there instead. */
export function UsedBy({ id, kind }: { id: string; kind: Kind }) {
    const { moment, search } = useMoment();
    const plan = usePlan();
    const stamp = useCalm(useStampOfOthers(id), CALM);
    const uses = useQuery({
        queryKey: ['uses', id, stamp],
        queryFn: () => ask(api.GET('/api/plans/draft/elements/{id}/uses', { params: { path: { id } } })),
        enabled: moment.in === 'draft',
        placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
    });
    const [put, setPut] = useState<string | null>(null);
    /** Those that go on using this one. */
    const [staying, setStaying] = useState<string[]>([]);
    const [isWhole, setIsWhole] = useState(false);
    if (!uses.data) return null;
    const byUse = Map.groupBy(uses.data.places, (place) => `${place.id} ${place.role}`);
    const places = [...byUse.values()].flatMap((same) => (same[0] ? [{ place: same[0], times: same.length }] : []));
    const users = [...new Set(uses.data.places.map((place) => place.id))];
    const other = put === null ? undefined : plan?.find(put)?.name;
    return (
        <div className="used-by">
            <h2>Used by</h2>
            {places.length === 0 ? (
                <p className="quiet">Nothing yet; it can be deleted freely.</p>
            ) : (
                <ul className={other === undefined ? undefined : 'chosen'}>
                    {(isWhole ? places : places.slice(0, FIRST)).map(({ place, times }) => (
                        <li key={place.id + place.pointer}>
                            {other !== undefined && (
                                <Checkbox
                                    aria-label={`${other} in ${place.name}`}
                                    checked={!staying.includes(place.id)}
                                    onChange={({ target }) =>
                                        setStaying((now) =>
                                            target.checked ? now.filter((one) => one !== place.id) : [...now, place.id],
                                        )
                                    }
                                />
                            )}
                            <Link to={{ pathname: `/${KINDS[place.kind as Kind].path}/${place.id}`, search }}>
                                {place.name}
                            </Link>{' '}
                            <span className="quiet">
                                {place.role}
                                {times > 1 && ` in ${times} places`}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
            {places.length > FIRST && !isWhole && (
                <Button size="small" onClick={() => setIsWhole(true)}>
                    Show {places.length - FIRST} more
                </Button>
            )}
            {/* Of somebody who leaves, there is more to take over. */}
            {places.length > 0 && kind !== 'person' && (
                <InItsPlace
                    id={id}
                    kinds={uses.data.kinds}
                    put={put}
                    onPut={(next) => {
                        setPut(next);
                        setStaying([]);
                    }}
                    users={users}
                    staying={staying.filter((one) => users.includes(one))}
                />
            )}
            <LedBy numbers={uses.data.numbers} />
            {KINDS[kind].takesCalls && <LeadHere id={id} />}
            <p>
                <Link to={{ pathname: `/changes/${id}`, search }}>Changes to it</Link>
            </p>
        </div>
    );
}

/** Changes with every edit of something else: what uses an element does not change with the element. */
function useStampOfOthers(id: string): number | undefined {
    const plan = usePlan();
    const [stamp, own] = [plan?.stamp, plan?.revision(id)];
    const [seen, setSeen] = useState({ stamp, own, ofOthers: stamp });
    if (stamp !== seen.stamp) setSeen({ stamp, own, ofOthers: own === seen.own ? stamp : seen.ofOthers });
    return seen.ofOthers;
}

const MOST_NAMED = 12;

/** The numbers by which calls may come here. */
function LedBy({ numbers }: { numbers: string[] }) {
    const plan = usePlan();
    const { search } = useMoment();
    if (numbers.length === 0) return null;
    return (
        <p>
            Calls may come here by{' '}
            {numbers.slice(0, MOST_NAMED).map((number, i) => (
                <span key={number}>
                    {i > 0 && ', '}
                    <Link to={{ pathname: `/numbers/${number}`, search }}>{plan?.find(number)?.name ?? number}</Link>
                </span>
            ))}
            {numbers.length > MOST_NAMED && ` and ${numbers.length - MOST_NAMED} more numbers`}.
        </p>
    );
}

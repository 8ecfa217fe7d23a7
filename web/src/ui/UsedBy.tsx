import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';

/** Where an element of the draft is used. */
export function UsedBy({ id }: { id: string }) {
    const { moment, search } = useMoment();
    const uses = useQuery({
        queryKey: ['uses', id],
        queryFn: () => ask(api.GET('/api/plans/draft/elements/{id}/uses', { params: { path: { id } } })),
        enabled: moment.in === 'draft',
    });
    if (!uses.data) return null;
    const byUse = Map.groupBy(uses.data.places, (place) => `${place.id} ${place.role}`);
    const places = [...byUse.values()].flatMap((same) => (same[0] ? [{ place: same[0], times: same.length }] : []));
    return (
        <div className="used-by">
            <h2>Used by</h2>
            {places.length === 0 ? (
                <p className="quiet">Nothing yet; it can be deleted freely.</p>
            ) : (
                <ul>
                    {places.map(({ place, times }) => (
                        <li key={place.id + place.pointer}>
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
            <LedBy numbers={uses.data.numbers} />
            <p>
                <Link to={{ pathname: `/changes/${id}`, search }}>Changes to it</Link>
            </p>
        </div>
    );
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

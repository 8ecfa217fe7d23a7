import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';

/** Where an element of the draft is used. */
export function UsedBy({ id }: { id: string }) {
    const { moment, search } = useMoment();
    const uses = useQuery({
        queryKey: ['uses', id],
        queryFn: () => ask(api.GET('/api/plans/draft/elements/{id}/uses', { params: { path: { id } } })),
        enabled: moment.in === 'draft',
        retry: false,
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
            <p>
                <Link to={{ pathname: `/changes/${id}`, search }}>Changes to it</Link>
            </p>
        </div>
    );
}

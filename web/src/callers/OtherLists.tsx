import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { CallerList } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';

const AFTER_THE_ANSWER = 300;

/** Who else has these callers: lists that overlap with this one, and all lists that the caller of the bar is in. */
export function OtherLists({ list }: { list: CallerList }) {
    const plan = usePlan();
    const { moment, search } = useMoment();
    const stamp = useCalm(plan?.stamp, AFTER_THE_ANSWER);
    const others = useQuery({
        queryKey: ['other-lists', moment.in, list.id, moment.from, stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/callers/{id}/others', {
                    params: { path: { which: moment.in, id: list.id }, query: { from: moment.from } },
                }),
            ),
        placeholderData: keepPreviousData,
    }).data;
    if (!others) return null;
    const link = (id: string) => <Link to={{ pathname: `/callers/${id}`, search }}>{plan?.find(id)?.name ?? id}</Link>;
    return (
        <section aria-label="Who else matches">
            <h2>Who else matches</h2>
            <p>
                {others.caller === 'withheld' ? 'Somebody who withholds their number' : others.caller} is in{' '}
                {others.matches.length === 0 && 'no list.'}
                {others.matches.map((one, i) => (
                    <span key={one.list}>
                        {i > 0 && ', '}
                        {link(one.list)} <span className="quiet">by “{one.match}”</span>
                    </span>
                ))}
            </p>
            {others.overlaps.length === 0 ? (
                <p className="quiet">No other list has callers in common with this one.</p>
            ) : (
                <ul>
                    {others.overlaps.map((one) => (
                        <li key={one.list}>
                            {link(one.list)} has {one.count === 1 ? 'one entry' : `${one.count} entries`} in common:{' '}
                            <span className="quiet">
                                {one.examples
                                    .map(({ here, there }) => (here === there ? here : `${here} here, ${there} there`))
                                    .join('; ')}
                                {one.count > one.examples.length && ' …'}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

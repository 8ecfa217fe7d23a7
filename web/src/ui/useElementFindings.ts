import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, ask } from '../api/client';
import type { Finding } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from './useCalm';

/** After an edit, its answer comes first. */
const CALM = 250;
const NONE: Finding[] = [];

/** What the server finds in an element that callers would not want, but for what somebody put aside. */
export function useElementFindings(id: string): Finding[] {
    const { moment } = useMoment();
    const stamp = useCalm(usePlan()?.stamp, CALM);
    const { data } = useQuery({
        queryKey: ['findings', moment.in, id, stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/findings', {
                    params: { path: { which: moment.in }, query: { element: id } },
                }),
            ),
        // Those of the element before the edit, and never another's.
        placeholderData: (before, query) => (query?.queryKey[2] === id ? before : undefined),
    });
    return useMemo(() => data?.findings.filter((one) => !one.silenced) ?? NONE, [data]);
}

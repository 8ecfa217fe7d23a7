import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import type { Finding } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from './useCalm';

/** After an edit, its answer comes first. */
const CALM = 250;
const NONE: Finding[] = [];

/** What the server finds in a plan that callers would not want. */
function useAllFindings(): Finding[] {
    const { moment } = useMoment();
    const stamp = useCalm(usePlan()?.stamp, CALM);
    const { data } = useQuery({
        queryKey: ['findings', moment.in, stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/findings', { params: { path: { which: moment.in } } })),
        placeholderData: (before) => before,
        retry: false,
    });
    return data?.findings ?? NONE;
}

/** Those of one element, by their place in it: shown where the cause is. */
export function useFindings(id: string): (pointer: string) => Finding[] {
    const all = useAllFindings();
    return useCallback((pointer) => all.filter((one) => one.id === id && one.pointer === pointer), [all, id]);
}

import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';

/** What the server finds at a place of an element that callers would not want; shown where the cause is. */
export function useFindings(id: string): (pointer: string) => string | undefined {
    const { moment } = useMoment();
    const plan = usePlan();
    const { data } = useQuery({
        queryKey: ['findings', moment.in, plan?.stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/findings', { params: { path: { which: moment.in } } })),
        placeholderData: (before) => before,
        retry: false,
    });
    return (pointer) => data?.findings.find((one) => one.id === id && one.pointer === pointer)?.detail;
}

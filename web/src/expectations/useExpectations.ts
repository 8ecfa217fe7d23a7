import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { HeldExpectation } from '../api/types';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';

/** Edits that follow one another so quickly are looked at together. */
const AFTER_THE_EDIT = 600;

/** What became of every expectation of the plan on screen, by id. */
export function useExpectations(which?: string) {
    const { moment } = useMoment();
    const live = useLiveStamp();
    const shown = which ?? moment.in;
    const stamp = useCalm(usePlan()?.stamp, AFTER_THE_EDIT);
    return useQuery<Map<string, HeldExpectation>>({
        queryKey: ['expectations', shown, stamp, live],
        queryFn: async () => {
            const held = await ask(api.GET('/api/plans/{which}/expectations', { params: { path: { which: shown } } }));
            return new Map(held.expectations.map((one) => [one.id, one]));
        },
        enabled: Boolean(stamp),
        placeholderData: keepPreviousData,
        retry: false,
    });
}

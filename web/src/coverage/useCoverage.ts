import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Coverage, Impact } from '../api/types';
import { useLiveStamp } from '../moment/useLiveStamp';
import { toTrialCall, useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';

/** Edits that follow one another so quickly are looked at together. */
const AFTER_THE_ANSWER = 500;

/** Who or what takes the call of the bar over a year. */
export function useCoverage(year: number) {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    const call = toTrialCall(moment);
    const { at: _, ...same } = call;
    // The week that is told is that of the moment.
    const day = call.at?.slice(0, 10);
    return useQuery<Coverage>({
        queryKey: ['coverage', same, day, year, plan?.stamp, live],
        queryFn: () => ask(api.POST('/api/coverage', { body: { call, year } })),
        enabled: Boolean(plan && moment.to && moment.at),
        placeholderData: keepPreviousData,
        retry: false,
    });
}

/** What the draft changes for callers, against what is live. */
export function useImpact() {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    const stamp = useCalm(plan?.stamp, AFTER_THE_ANSWER);
    return useQuery<Impact>({
        queryKey: ['impact', stamp, live],
        queryFn: () => ask(api.GET('/api/plans/draft/impact')),
        enabled: Boolean(stamp) && moment.in === 'draft',
        placeholderData: keepPreviousData,
        retry: false,
    });
}

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Coverage, Impact, ImpactCounted, RungYear } from '../api/types';
import { toTrialCall } from '../moment/trialCall';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { lookingOn } from '../ui/lookingOn';
import { useCalm } from '../ui/useCalm';
import { useJob } from '../ui/useJob';

/** Edits that follow one another so quickly are looked at together. */
const AFTER_THE_ANSWER = 60;

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
    });
}

/** What another plan changes for callers, whoever calls and whatever they press: the draft against what is live, where nothing else is said. */
export function useImpact(before = 'live', after = 'draft') {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    return useQuery<Impact>({
        queryKey: ['impact', before, after, plan?.stamp, live],
        queryFn: () => ask(api.GET('/api/impact', { params: { query: { before, after } } })),
        enabled: Boolean(plan) && (moment.in === 'draft' || after !== 'draft'),
        placeholderData: keepPreviousData,
        refetchInterval: lookingOn(({ unlooked }) => unlooked),
    });
}

/**
 * At how many numbers the draft changes something for callers who press nothing. It stands on every screen, and is not asked for on and
 * on: the next edit goes on with what there was no time for.
 */
export function useImpactCounted() {
    const { moment } = useMoment();
    const live = useLiveStamp();
    const stamp = useCalm(usePlan()?.stamp, AFTER_THE_ANSWER);
    return useQuery<ImpactCounted>({
        queryKey: ['impact counted', stamp, live],
        queryFn: () => ask(api.GET('/api/impact/counted')),
        enabled: Boolean(stamp) && moment.in === 'draft',
        placeholderData: keepPreviousData,
    });
}

/** The same in the background, for every number and whatever phones do. */
export function useImpactInFull(before = 'live', after = 'draft') {
    const state = [before, after, usePlan()?.stamp, useLiveStamp()] as const;
    const { job, started, start, stop } = useJob<readonly unknown[]>('impact', before, after);
    const isOld = started !== undefined && started.join() !== state.join();
    return {
        job,
        isOld,
        data: job?.state === 'done' && !isOld ? (job.result as Impact | null) : null,
        look: () =>
            start(state, () =>
                ask(api.POST('/api/impact/in-full', { params: { query: { before, after } }, body: {} })),
            ),
        stop,
    };
}

/** When somebody's phones ring over a year. */
export function useRung(id: string | null, year: number) {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    return useQuery<RungYear>({
        queryKey: ['rung', moment.in, id, year, plan?.stamp, live],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/rung/{id}', {
                    params: { path: { which: moment.in, id: id ?? '' }, query: { year } },
                }),
            ),
        enabled: Boolean(plan && id),
        placeholderData: keepPreviousData,
    });
}

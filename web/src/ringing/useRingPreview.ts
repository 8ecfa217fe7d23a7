import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Element, RingStep } from '../api/types';
import { toTrialCall } from '../moment/trialCall';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';

const CALM = 150;

/** How a step would ring at the moment of the bar; with an element, as if it were changed so. Nothing is saved. */
export function useRingPreview(
    step: RingStep,
    { element, direct, dragged }: { element: Element | undefined; direct: boolean; dragged: boolean },
) {
    const { moment } = useMoment();
    const plan = usePlan();
    const call = toTrialCall(moment);
    const live = useLiveStamp();
    // What is dragged is drawn at once; after an edit, its answer comes first.
    const wanted = JSON.stringify([call, step, element, plan?.stamp, live]);
    const calm = useCalm(wanted, CALM) === wanted;
    return useQuery({
        queryKey: ['ring-preview', wanted],
        queryFn: () =>
            ask(api.POST('/api/ring-previews', { body: { call, step, direct, ...(element ? { element } : {}) } })),
        enabled: Boolean(plan && moment.to && moment.at && step.target) && (calm || dragged),
        placeholderData: keepPreviousData,
        gcTime: 10_000,
    });
}

/** A ring step that stands in no journey: for looking at a person or a team by itself. */
export function lookAt(target: string, seconds: number, handOver: boolean): RingStep {
    return {
        id: 'look',
        do: 'ring',
        target,
        seconds,
        handOver,
        againMinutes: 0,
        greeting: null,
        greetAfter: 0,
        exits: [],
    };
}

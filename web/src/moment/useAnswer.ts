import { keepPreviousData, type QueryClient, replaceEqualDeep, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Change, HoursState, NumberElement, Trace, TrialCall } from '../api/types';
import { useOverrideStamp } from '../overrides/useOverrides';
import { draftOf, usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';
import { toTrialCall } from './trialCall';
import { useLiveStamp } from './useLiveStamp';
import { useMoment } from './useMoment';

/** The answer to the trial call of the moment bar; asked for again whenever the call or the plan changes. */
export function useAnswer() {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    const call = toTrialCall(moment);
    return useQuery<Trace>({
        queryKey: ['answer', call, plan?.stamp, live],
        queryFn: () => askAnswer(call),
        // The first answer does not wait for the plan.
        enabled: Boolean(moment.to && moment.at),
        ...(moment.to ? { placeholderData: keepPreviousData } : {}),
    });
}

const AFTER_THE_ANSWER = 150;

const askAnswer = (call: TrialCall) => ask(api.POST('/api/trial-calls', { body: call }));

export interface ShownCall {
    call: TrialCall;
    live: string | undefined;
    /** Of the draft. */
    revision: number;
}

/** The call on screen, where it is tried in the draft. */
export function shownCall(queries: QueryClient): ShownCall | undefined {
    const shown = queries.getQueryCache().findAll({ queryKey: ['answer'], type: 'active' })[0];
    const [, call, , live] = (shown?.queryKey ?? []) as [string?, TrialCall?, number?, string?];
    const revision = draftOf(queries)?.revision;
    return call?.in === 'draft' && revision !== undefined ? { call, live, revision } : undefined;
}

/** How the call on screen fares with an element, which was asked for as it was written. */
export function takeAnswer(queries: QueryClient, asked: ShownCall, change: Change & { answer: Trace | null }): void {
    if (!change.answer || change.changed !== 1 || change.revision !== asked.revision + 1) return;
    const key = (revision: number) => ['answer', asked.call, revision, asked.live];
    // What fares as before the edit stays the same, and is not drawn anew.
    const shared = replaceEqualDeep(queries.getQueryData<Trace>(key(asked.revision)), change.answer);
    queries.setQueryData<Trace>(key(change.revision), shared);
}

/** Asks for the answer on screen after an edit, while the screens are still drawn anew; one that is here already is not asked for again. */
export function askAhead(queries: QueryClient): void {
    const shown = shownCall(queries);
    if (!shown) return;
    const { call, live, revision } = shown;
    queries.prefetchQuery({
        queryKey: ['answer', call, revision, live],
        queryFn: () => askAnswer(call),
        staleTime: Number.POSITIVE_INFINITY,
        retry: false,
    });
}

/** The state of all hours at the moment. */
export function useHoursStates(): Record<string, HoursState> | undefined {
    const { moment } = useMoment();
    const plan = usePlan();
    const zone = useMomentZone();
    const forced = useOverrideStamp();
    const stamp = useCalm(plan?.stamp, AFTER_THE_ANSWER);
    return useQuery({
        queryKey: ['hours', moment.in, moment.at, zone, stamp, forced],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/hours', {
                    params: { path: { which: moment.in }, query: { at: moment.at, zone } },
                }),
            ),
        enabled: Boolean(plan && moment.at && zone),
        placeholderData: keepPreviousData,
    }).data?.states;
}

/** Whether a number is one of a block, or begins so. */
function isWithin({ number, block }: NumberElement, to: string): boolean {
    return block
        ? to.length === number.length && number <= to && to <= block.last
        : number.endsWith('*') && to.startsWith(number.slice(0, -1));
}

/** The zone that the moment is written in: the chosen one, or that of the number's site. */
export function useMomentZone(): string {
    const { moment } = useMoment();
    const plan = usePlan();
    if (moment.zone) return moment.zone;
    const numbers = plan?.all('number') ?? [];
    const number = numbers.find((one) => one.number === moment.to) ?? numbers.find((one) => isWithin(one, moment.to));
    const person = plan?.all('person').find((one) => one.extension === moment.to);
    const coded = plan?.all('hours').find((one) => one.codes.some((code) => code.code === moment.to));
    return plan?.get('site', number?.site ?? person?.site ?? coded?.site)?.zone ?? plan?.all('site')[0]?.zone ?? 'UTC';
}

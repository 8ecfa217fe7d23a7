import { keepPreviousData, type QueryClient, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Element, HoursState, NumberElement, Trace, TrialCall } from '../api/types';
import { useOverrideStamp } from '../overrides/useOverrides';
import { draftOf, usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';
import { useLiveStamp } from './useLiveStamp';
import { toTrialCall, useMoment } from './useMoment';

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
        placeholderData: keepPreviousData,
        retry: false,
    });
}

const AFTER_THE_ANSWER = 150;

const askAnswer = (call: TrialCall) => ask(api.POST('/api/trial-calls', { body: call }));

/** The call on screen, where it is tried in the draft. */
function shownCall(queries: QueryClient): [TrialCall, string | undefined] | undefined {
    const shown = queries.getQueryCache().findAll({ queryKey: ['answer'], type: 'active' })[0];
    const [, call, , live] = (shown?.queryKey ?? []) as [string?, TrialCall?, number?, string?];
    return call?.in === 'draft' ? [call, live] : undefined;
}

/** Asks what the answer on screen will be with an element that is being saved: both are on their way at once. */
export function askEarly(queries: QueryClient, element: Element): Promise<Trace> | undefined {
    const shown = shownCall(queries);
    if (!shown) return undefined;
    const early = askAnswer({ ...shown[0], with: element });
    // Whatever is wrong with it, the save says.
    early.catch(() => undefined);
    return early;
}

/** Takes the answer on screen over after an edit, while the screens are still drawn anew. */
export function askAhead(queries: QueryClient, early?: Promise<Trace>): void {
    const draft = draftOf(queries);
    const shown = shownCall(queries);
    if (!draft || !shown) return;
    const [call, live] = shown;
    queries.prefetchQuery({
        queryKey: ['answer', call, draft.revision, live],
        queryFn: () => early?.catch(() => askAnswer(call)) ?? askAnswer(call),
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
        retry: false,
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

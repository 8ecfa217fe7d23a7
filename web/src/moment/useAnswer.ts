import { hashKey, keepPreviousData, type QueryClient, replaceEqualDeep, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Change, Element, HoursState, NumberElement, Trace, TrialCall } from '../api/types';
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

/** The call on screen, where it is tried in the draft. */
function shownCall(queries: QueryClient): [TrialCall, string | undefined] | undefined {
    const shown = queries.getQueryCache().findAll({ queryKey: ['answer'], type: 'active' })[0];
    const [, call, , live] = (shown?.queryKey ?? []) as [string?, TrialCall?, number?, string?];
    return call?.in === 'draft' ? [call, live] : undefined;
}

/** An answer that is asked for while the edit that it belongs to is being saved. */
interface EarlyAnswer {
    call: TrialCall;
    live: string | undefined;
    /** Of the draft before the edit. */
    revision: number;
    trace: Promise<Trace>;
    /** Once it is there. */
    found?: Trace;
}

/** Asks what the answer on screen will be with an element that is being saved: both are on their way at once. */
export function askEarly(queries: QueryClient, element: Element): EarlyAnswer | undefined {
    const shown = shownCall(queries);
    const revision = draftOf(queries)?.revision;
    if (!shown || revision === undefined) return undefined;
    const [call, live] = shown;
    const early: EarlyAnswer = { call, live, revision, trace: askAnswer({ ...call, with: element }) };
    // Whatever is wrong with it, the save says.
    early.trace.then(
        (trace) => {
            early.found = trace;
        },
        () => undefined,
    );
    return early;
}

/**
 * The same once the edit is saved; undefined where other elements changed with it, or somebody else wrote meanwhile. If the answer is
 * there, what was edited and what follows from it are drawn at once.
 */
export function takeEarly(
    queries: QueryClient,
    early: EarlyAnswer | undefined,
    change: Change,
): EarlyAnswer | undefined {
    if (!early || change.changed !== 1 || change.revision !== early.revision + 1) return undefined;
    const key = (revision: number) => ['answer', early.call, revision, early.live];
    if (early.found) {
        // What fares as before the edit stays the same, and is not drawn anew.
        const shared = replaceEqualDeep(queries.getQueryData<Trace>(key(early.revision)), early.found);
        queries.setQueryData<Trace>(key(change.revision), shared);
    }
    return early;
}

/** Asks for the answer on screen after an edit, while the screens are still drawn anew. */
export function askAhead(queries: QueryClient, early?: EarlyAnswer): void {
    const draft = draftOf(queries);
    const shown = shownCall(queries);
    if (!draft || !shown) return;
    const [call, live] = shown;
    // Meanwhile it may be another call that is shown.
    const isSame = hashKey([early?.call, early?.live]) === hashKey([call, live]);
    queries.prefetchQuery({
        queryKey: ['answer', call, draft.revision, live],
        queryFn: () => (isSame && early?.trace.catch(() => askAnswer(call))) || askAnswer(call),
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

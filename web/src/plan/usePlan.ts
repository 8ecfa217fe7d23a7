import { type QueryClient, useQuery } from '@tanstack/react-query';
import { api, ask, RefusedError } from '../api/client';
import type { Change, Element, Kind, Of, Outlined, Plan } from '../api/types';
import { useMoment } from '../moment/useMoment';

/** The outline of a plan, with its elements by id and by kind. */
export interface PlanIndex {
    plan: Plan;
    /** Grows with every edit: answers are asked for again when it does. */
    stamp: number;
    find: (id: string | null | undefined) => Outlined | undefined;
    get: <K extends Kind>(kind: K, id: string | null | undefined) => Outlined<K> | undefined;
    all: <K extends Kind>(kind: K) => Outlined<K>[];
}

/** One index per plan, whoever asks for it: lists of thousands would make thousands otherwise. */
const indexes = new WeakMap<Plan, PlanIndex>();

export function indexOf(plan: Plan): PlanIndex {
    const made = indexes.get(plan) ?? index(plan);
    indexes.set(plan, made);
    return made;
}

function index(plan: Plan): PlanIndex {
    const byId = new Map(plan.elements.map((element) => [element.id, element]));
    const byKind = new Map<Kind, Outlined[]>();
    const find = (id: string | null | undefined) => (id ? byId.get(id) : undefined);
    const order = new Intl.Collator('en', { numeric: true });
    return {
        plan,
        stamp: plan.revision,
        find,
        get: <K extends Kind>(kind: K, id: string | null | undefined) => {
            const element = find(id);
            return element?.kind === kind ? (element as Outlined<K>) : undefined;
        },
        all: <K extends Kind>(kind: K) => {
            const sorted =
                byKind.get(kind) ??
                plan.elements.filter((element) => element.kind === kind).sort((a, b) => order.compare(a.name, b.name));
            byKind.set(kind, sorted);
            return sorted as Outlined<K>[];
        },
    };
}

const planKey = (which: string) => ['plan', which];

/** The plan that the moment bar looks at: the draft, what is live, or an edition. */
export function usePlan(): PlanIndex | undefined {
    const { moment } = useMoment();
    return usePlanOf(moment.in);
}

function usePlanOf(which: string): PlanIndex | undefined {
    const query = usePlanQuery(which);
    return query.data ? indexOf(query.data) : undefined;
}

/** Fetched once, then kept up to date by what every write answers; coming back to the window looks for others' writes. */
function usePlanQuery(which: string) {
    return useQuery({
        queryKey: planKey(which),
        queryFn: () => ask(api.GET('/api/plans/{which}/outline', { params: { path: { which } } })) as Promise<Plan>,
        staleTime: Number.POSITIVE_INFINITY,
        refetchOnWindowFocus: 'always',
    });
}

/** Milliseconds after which a body that could not be fetched is asked for again. */
const ASK_AGAIN = 2000;

const bodyKey = (which: string, id: string, revision: number) => [...planKey(which), 'body', id, revision];

function bodyQuery(which: string, id: string, revision: number) {
    return {
        queryKey: bodyKey(which, id, revision),
        queryFn: (): Promise<Element> =>
            ask(api.GET('/api/plans/{which}/elements/{id}', { params: { path: { which, id } } })),
        staleTime: Number.POSITIVE_INFINITY,
    };
}

const isWhole = (element: Outlined): element is Element => !('sizes' in element);

/** An element with everything that its outline leaves out; undefined until that is here. */
export function useBody<K extends Kind>(kind: K, id: string | null | undefined): Of<K> | undefined {
    const { moment } = useMoment();
    const plan = usePlan();
    const outlined: Outlined | undefined = plan?.get(kind, id);
    const query = useQuery({
        ...bodyQuery(moment.in, id ?? '', plan?.plan.revisions[id ?? ''] ?? 0),
        enabled: outlined !== undefined && !isWhole(outlined),
        // What somebody else wrote comes in its place; another element does not.
        placeholderData: (before) => (before?.id === id ? before : undefined),
        // While the server is away, it is asked again until it is back.
        refetchInterval: ({ state }) =>
            state.error instanceof RefusedError && state.error.isOffline ? ASK_AGAIN : false,
    });
    return (outlined && isWhole(outlined) ? outlined : query.data) as Of<K> | undefined;
}

/** Brings an element of the draft here, whole, for an edit. */
export function bodyOf(queries: QueryClient, id: string): Promise<Element> {
    return queries.fetchQuery(bodyQuery('draft', id, draftOf(queries)?.revisions[id] ?? 0));
}

export function usePlanError(): Error | null {
    const { moment } = useMoment();
    return usePlanQuery(moment.in).error;
}

export function draftOf(queries: QueryClient): Plan | undefined {
    return queries.getQueryData<Plan>(planKey('draft'));
}

/** A plan still on its way may be older than a write: it must not take its place. */
export function dropFetches(queries: QueryClient): void {
    queries.cancelQueries({ queryKey: planKey('draft'), exact: true });
}

/** Brings a change that the server made into the draft held here, without asking for all of it again. */
export function patchDraft(queries: QueryClient, change: Change): void {
    dropFetches(queries);
    for (const [id, element] of Object.entries(change.elements))
        if (element) queries.setQueryData(bodyKey('draft', id, change.revision), element);
    // After a very large edit all of it is fetched anew.
    if (!change.isTold) queries.invalidateQueries({ queryKey: planKey('draft') });
    queries.setQueryData<Plan>(planKey('draft'), (plan) => {
        if (!plan) return plan;
        const revisions = { ...plan.revisions };
        const kept = plan.elements.filter((element) => !(element.id in change.elements));
        for (const [id, element] of Object.entries(change.elements)) {
            if (element) {
                kept.push(element);
                revisions[id] = change.revision;
            } else delete revisions[id];
        }
        const unreadable = plan.unreadable.filter((one) => !(one.id in change.elements));
        const { revision, undo, redo } = change;
        return { ...plan, elements: kept, revision, revisions, unreadable, undo, redo };
    });
    // Marked only: the screens that show them ask again, and the answer to the edit comes first.
    for (const key of ['pending', 'findings', 'uses'])
        queries.invalidateQueries({ queryKey: [key], refetchType: 'none' });
}

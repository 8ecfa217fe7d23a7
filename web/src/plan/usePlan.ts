import { type QueryClient, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Change, Element, Kind, Of, Plan } from '../api/types';
import { useMoment } from '../moment/useMoment';

/** A plan with its elements by id and by kind. */
export interface PlanIndex {
    plan: Plan;
    /** Grows with every edit: answers are asked for again when it does. */
    stamp: number;
    find: (id: string | null | undefined) => Element | undefined;
    get: <K extends Kind>(kind: K, id: string | null | undefined) => Of<K> | undefined;
    all: <K extends Kind>(kind: K) => Of<K>[];
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
    const byKind = new Map<Kind, Element[]>();
    const find = (id: string | null | undefined) => (id ? byId.get(id) : undefined);
    const order = new Intl.Collator('en', { numeric: true });
    return {
        plan,
        stamp: plan.revision,
        find,
        get: <K extends Kind>(kind: K, id: string | null | undefined) => {
            const element = find(id);
            return element?.kind === kind ? (element as Of<K>) : undefined;
        },
        all: <K extends Kind>(kind: K) => {
            const sorted =
                byKind.get(kind) ??
                plan.elements.filter((element) => element.kind === kind).sort((a, b) => order.compare(a.name, b.name));
            byKind.set(kind, sorted);
            return sorted as Of<K>[];
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
        queryFn: () => ask(api.GET('/api/plans/{which}', { params: { path: { which } } })),
        staleTime: Number.POSITIVE_INFINITY,
        refetchOnWindowFocus: 'always',
    });
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
    queries.cancelQueries({ queryKey: planKey('draft') });
}

/** Brings a change that the server made into the draft held here, without asking for all of it again. */
export function patchDraft(queries: QueryClient, change: Change): void {
    dropFetches(queries);
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

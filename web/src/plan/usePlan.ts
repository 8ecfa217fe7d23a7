import {
    notifyManager,
    type QueryClient,
    QueryObserver,
    replaceEqualDeep,
    useQuery,
    useQueryClient,
} from '@tanstack/react-query';
import {
    createContext,
    createElement,
    type ReactNode,
    useContext,
    useLayoutEffect,
    useState,
    useSyncExternalStore,
} from 'react';
import { api, ask } from '../api/client';
import type { Change, Element, Kind, Of, Outlined, PlanOutline } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { Elements, type Plan } from './elements';
import { type PlanIndex, SeenPlan } from './seenPlan';

const planKey = (which: string) => ['plan', which];

/** What is the same in an element stays the same: only what changed is drawn anew. */
const sharing = ({ elements, revisions, ...plan }: PlanOutline, before: Plan | undefined): Plan => ({
    ...plan,
    elements: Elements.of(
        (elements as Outlined[]).map((element) => replaceEqualDeep(before?.elements.find(element.id), element)),
        revisions,
        before?.elements,
    ),
});

/** Fetched once, then kept up to date by what every write answers; coming back to the window looks for others' writes. */
const planQuery = (which: string) => ({
    queryKey: planKey(which),
    queryFn: async ({ client }: { client: QueryClient }) => {
        const outline = await ask(api.GET('/api/plans/{which}/outline', { params: { path: { which } } }));
        return sharing(outline, client.getQueryData<Plan>(planKey(which)));
    },
    staleTime: Number.POSITIVE_INFINITY,
    refetchOnWindowFocus: 'always' as const,
    // Element by element, here: an edit has them shared already.
    structuralSharing: false,
});

/** The plan that the moment bar looks at, for whoever shows a part of it. */
class PlanOfBar {
    private which = '';
    private plan: Plan | undefined;
    private readonly told = new Set<() => void>();

    of = (which: string) => (which === this.which ? this.plan : undefined);

    set(which: string, plan: Plan | undefined): void {
        if (which === this.which && plan === this.plan) return;
        [this.which, this.plan] = [which, plan];
        for (const tell of this.told) tell();
    }

    subscribe = (tell: () => void) => {
        this.told.add(tell);
        return () => {
            this.told.delete(tell);
        };
    };
}

const PlanContext = createContext(new PlanOfBar());

export function PlanProvider({ children }: { children: ReactNode }) {
    const which = useMoment().moment.in;
    const queries = useQueryClient();
    const [held] = useState(() => new PlanOfBar());
    useLayoutEffect(() => {
        const observer = new QueryObserver(queries, planQuery(which));
        // Together with what else is told: an edit is drawn with its answer.
        const stop = observer.subscribe(notifyManager.batchCalls(({ data }) => held.set(which, data)));
        held.set(which, observer.getCurrentResult().data);
        return stop;
    }, [queries, which, held]);
    return createElement(PlanContext, { value: held }, children);
}

/** The plan that the moment bar looks at: the draft, what is live, or an edition. Whoever looks at a part of it is drawn anew when that part is another. */
export function usePlan(): PlanIndex | undefined {
    const which = useMoment().moment.in;
    const held = useContext(PlanContext);
    const [seen] = useState(() => new SeenPlan());
    return useSyncExternalStore(held.subscribe, () => seen.of(held.of(which)));
}

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
        ...bodyQuery(moment.in, id ?? '', plan?.revision(id) ?? 0),
        enabled: outlined !== undefined && !isWhole(outlined),
        // What somebody else wrote comes in its place; another element does not.
        placeholderData: (before) => (before?.id === id ? before : undefined),
    });
    return (outlined && isWhole(outlined) ? outlined : query.data) as Of<K> | undefined;
}

/** Brings an element of the draft here, whole, for an edit; whoever edits does not wait for a server that is away. */
export function bodyOf(queries: QueryClient, id: string): Promise<Element> {
    return queries.fetchQuery({
        ...bodyQuery('draft', id, draftOf(queries)?.elements.revision(id) ?? 0),
        retry: false,
    });
}

export function usePlanError(): Error | null {
    const { moment } = useMoment();
    return useQuery(planQuery(moment.in)).error;
}

export function draftOf(queries: QueryClient): Plan | undefined {
    return queries.getQueryData<Plan>(planKey('draft'));
}

/** A plan still on its way may be older than a write: it must not take its place. */
export function dropFetches(queries: QueryClient): void {
    queries.cancelQueries({ queryKey: planKey('draft'), exact: true });
}

/**
 * Brings a change that the server made into the draft held here, without asking for all of it again. What comes back as it was sent
 * stays the same.
 */
export function patchDraft(queries: QueryClient, change: Change, sent?: Element): void {
    dropFetches(queries);
    const before = draftOf(queries);
    const written = Object.entries(change.elements).map(([id, element]): [string, Element | null] => [
        id,
        element && replaceEqualDeep(sent?.id === id ? sent : before?.elements.find(id), element),
    ]);
    for (const [id, element] of written)
        if (element) queries.setQueryData(bodyKey('draft', id, change.revision), element);
    // After a very large edit all of it is fetched anew.
    if (!change.isTold) queries.invalidateQueries({ queryKey: planKey('draft') });
    queries.setQueryData<Plan>(planKey('draft'), (plan) => {
        if (!plan) return plan;
        const elements = plan.elements.with(written, change.revision);
        const unreadable = plan.unreadable.filter((one) => !(one.id in change.elements));
        const { revision, undo, redo } = change;
        return { ...plan, elements, revision, unreadable, undo, redo };
    });
    // Marked only: the screens that show them ask again, and the answer to the edit comes first.
    for (const key of ['pending', 'findings']) queries.invalidateQueries({ queryKey: [key], refetchType: 'none' });
}

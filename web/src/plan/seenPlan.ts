import type { Kind, Outlined } from '../api/types';
import type { Plan } from './elements';

/** The outline of a plan, with its elements by id and by kind. */
export interface PlanIndex {
    readonly plan: Plan;
    /** Grows with every edit: answers are asked for again when it does. */
    readonly stamp: number;
    find: (id: string | null | undefined) => Outlined | undefined;
    get: <K extends Kind>(kind: K, id: string | null | undefined) => Outlined<K> | undefined;
    all: <K extends Kind>(kind: K) => Outlined<K>[];
    /** Of the edit that wrote an element last; 0 where there is none. */
    revision: (id: string | null | undefined) => number;
    /** A number as people write it. */
    international: (number: string) => string | undefined;
}

/** One index per plan, whoever asks for it: lists of thousands would make thousands otherwise. */
const indexes = new WeakMap<Plan, PlanIndex>();

export function indexOf(plan: Plan): PlanIndex {
    const made = indexes.get(plan) ?? index(plan);
    indexes.set(plan, made);
    return made;
}

function index(plan: Plan): PlanIndex {
    const { elements } = plan;
    const find = (id: string | null | undefined) => (id ? elements.find(id) : undefined);
    return {
        plan,
        stamp: plan.revision,
        find,
        get: <K extends Kind>(kind: K, id: string | null | undefined) => {
            const element = find(id);
            return element?.kind === kind ? (element as Outlined<K>) : undefined;
        },
        all: <K extends Kind>(kind: K) => elements.all(kind) as Outlined<K>[],
        revision: (id) => (id ? elements.revision(id) : 0),
        international: (number) => plan.international[number],
    };
}

/** A look at a plan, and what was seen. */
type Look = [look: (index: PlanIndex) => unknown, seen: unknown];

/**
 * What a component sees of a plan. While it would see the same of the next one, it keeps what it has, and is not drawn again;
 * what it does later looks at the latest.
 */
export class SeenPlan {
    private latest: PlanIndex | undefined;
    private shown: PlanIndex | undefined;
    private looks = new Map<string, Look>();

    of(plan: Plan | undefined): PlanIndex | undefined {
        const next = plan && indexOf(plan);
        if (next === this.latest) return this.shown;
        this.latest = next;
        const isSame = next && this.shown && [...this.looks.values()].every(([look, seen]) => look(next) === seen);
        if (!isSame) this.shown = next && this.begin(next);
        return this.shown;
    }

    private begin(first: PlanIndex): PlanIndex {
        const looks = new Map<string, Look>();
        this.looks = looks;
        const look = <T>(name: string, how: (index: PlanIndex) => T): T => {
            const seen = how(this.latest ?? first);
            looks.set(name, [how, seen]);
            return seen;
        };
        return {
            get plan() {
                return look('plan', (index) => index.plan);
            },
            get stamp() {
                return look('stamp', (index) => index.stamp);
            },
            find: (id) => look(`one ${id}`, (index) => index.find(id)),
            get: (kind, id) => look(`${kind} ${id}`, (index) => index.get(kind, id)),
            all: (kind) => look(`all ${kind}`, (index) => index.all(kind)),
            revision: (id) => look(`revision ${id}`, (index) => index.revision(id)),
            international: (number) => look(`written ${number}`, (index) => index.international(number)),
        };
    }
}

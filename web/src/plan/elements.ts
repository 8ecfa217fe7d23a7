import type { Kind, Outlined, PlanOutline } from '../api/types';

/** A plan as this application holds it. */
export type Plan = Omit<PlanOutline, 'elements' | 'revisions'> & { elements: Elements };

/** Without an element where it cannot be read: whoever mends it names its revision. */
type Kept = readonly [element: Outlined | undefined, revision: number];

/** So many that were written lie over those that were fetched, until all are put together anew. */
const MOST_OVER = 200;
const order = new Intl.Collator('en', { numeric: true });

/**
 * The elements of a plan by id and by kind, and the edit that wrote each last. An edit makes others of them, with whatever is the
 * same in both; what that costs does not grow with the plan.
 */
export class Elements {
    private constructor(
        private readonly fetched: ReadonlyMap<string, Kept>,
        private readonly over: ReadonlyMap<string, Kept | null>,
        private readonly lists: Map<Kind, Outlined[]>,
        /** Lists of the elements before these were fetched: kept while the same are in them. */
        private readonly lately?: ReadonlyMap<Kind, Outlined[]>,
    ) {}

    static of(elements: Outlined[], revisions: Record<string, number>, before?: Elements): Elements {
        const kept = new Map<string, Kept>(elements.map((one) => [one.id, [one, revisions[one.id] ?? 0]]));
        for (const [id, revision] of Object.entries(revisions)) if (!kept.has(id)) kept.set(id, [undefined, revision]);
        return new Elements(kept, new Map(), new Map(), before?.lists);
    }

    find(id: string): Outlined | undefined {
        return this.kept(id)?.[0];
    }

    /** Of the edit that wrote it last; 0 where there is none. */
    revision(id: string): number {
        return this.kept(id)?.[1] ?? 0;
    }

    /** In the order of their names. */
    all(kind: Kind): Outlined[] {
        const known = this.lists.get(kind);
        if (known) return known;
        const found: Outlined[] = [];
        for (const [id, [one]] of this.fetched) if (one?.kind === kind && !this.over.has(id)) found.push(one);
        for (const [one] of [...this.over.values()].filter((kept) => kept !== null))
            if (one?.kind === kind) found.push(one);
        const sorted = found.sort((a, b) => order.compare(a.name, b.name));
        const lately = this.lately?.get(kind);
        const isSame = lately?.length === sorted.length && lately.every((one, i) => one === sorted[i]);
        const list = isSame ? lately : sorted;
        this.lists.set(kind, list);
        return list;
    }

    /** As they are after an edit. @param written null where it is gone */
    with(written: [id: string, element: Outlined | null][], revision: number): Elements {
        const over = new Map(this.over);
        const lists = new Map(this.lists);
        for (const [id, element] of written) {
            const was = (over.has(id) ? over : this.fetched).get(id)?.[0];
            for (const kind of new Set([was?.kind, element?.kind])) {
                const list = kind && lists.get(kind);
                if (list) lists.set(kind, placed(list, was, element?.kind === kind ? element : null));
            }
            over.set(id, element && [element, revision]);
        }
        if (over.size <= MOST_OVER) return new Elements(this.fetched, over, lists, this.lately);
        const fetched = new Map(this.fetched);
        for (const [id, kept] of over) {
            if (kept) fetched.set(id, kept);
            else fetched.delete(id);
        }
        return new Elements(fetched, new Map(), lists, this.lately);
    }

    private kept(id: string): Kept | null | undefined {
        return this.over.has(id) ? this.over.get(id) : this.fetched.get(id);
    }
}

/** A list with another element in place of one; it stays where it is while its name does. */
function placed(list: Outlined[], was: Outlined | undefined, element: Outlined | null): Outlined[] {
    const at = was ? list.indexOf(was) : -1;
    if (at >= 0 && element && list[at]?.name === element.name) return list.with(at, element);
    const others = at < 0 ? [...list] : list.toSpliced(at, 1);
    if (!element) return others;
    let [from, to] = [0, others.length];
    while (from < to) {
        const middle = (from + to) >> 1;
        const other = others[middle];
        if (other && order.compare(other.name, element.name) <= 0) from = middle + 1;
        else to = middle;
    }
    others.splice(from, 0, element);
    return others;
}

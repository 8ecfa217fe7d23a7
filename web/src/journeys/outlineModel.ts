import type { Exit, Finding, Step } from '../api/types';
import { STEPS } from './steps';

/** Where a list of steps hangs: through which step's which exit, from the outside in. */
type ListPath = { step: number; exit: number }[];
export interface Place {
    list: ListPath;
    index: number;
}

interface RowBase {
    key: string;
    depth: number;
    /** JSON Pointer within the journey. */
    pointer: string;
    /** Which one it is of the steps of its list, or of the exits of its step, and of how many. */
    nth: number;
    among: number;
}
export type Row =
    | (RowBase & { is: 'step'; step: Step; place: Place })
    | (RowBase & { is: 'exit'; exit: Exit; exitIndex: number; of: Step; place: Place });

const NONE: Finding[] = [];

export function exitsOf(step: Step): Exit[] {
    return 'exits' in step ? step.exits : [];
}

function withExits(step: Step, exits: Exit[]): Step {
    return 'exits' in step ? ({ ...step, exits } as Step) : step;
}

/**
 * Findings of a row: of an exit those that are about it, of a step also those about its fields. What must be chosen before
 * it can be published shows as missing in the step itself.
 */
export function foundAt(row: Row, findings: Finding[]): Finding[] {
    const field = `${row.pointer}/`;
    const found = findings.filter(
        ({ pointer, blocks }) =>
            pointer === row.pointer ||
            (row.is === 'step' &&
                !blocks &&
                pointer.startsWith(field) &&
                !/exits\/\d/.test(pointer.slice(field.length))),
    );
    return found.length > 0 ? found : NONE;
}

/** The outline's rows, read top-down: each step, then its exits with their steps below and further in. */
export function rowsOf(steps: Step[], list: ListPath = [], depth = 0, pointer = '/steps'): Row[] {
    return steps.flatMap((step, index): Row[] => {
        const place = { list, index };
        const here = `${pointer}/${index}`;
        const exits = exitsOf(step);
        return [
            { is: 'step', key: step.id, depth, pointer: here, nth: index + 1, among: steps.length, step, place },
            ...exits.flatMap((exit, exitIndex): Row[] => [
                {
                    is: 'exit',
                    key: `${step.id}:${exit.on}`,
                    depth: depth + 1,
                    pointer: `${here}/exits/${exitIndex}`,
                    nth: exitIndex + 1,
                    among: exits.length,
                    exit,
                    exitIndex,
                    of: step,
                    place,
                },
                ...rowsOf(
                    exit.steps,
                    [...list, { step: index, exit: exitIndex }],
                    depth + 2,
                    `${here}/exits/${exitIndex}/steps`,
                ),
            ]),
        ];
    });
}

function listAt(steps: Step[], path: ListPath): Step[] {
    const [first, ...rest] = path;
    if (!first) return steps;
    const step = steps[first.step];
    return step ? listAt(exitsOf(step)[first.exit]?.steps ?? [], rest) : [];
}

function changeList(steps: Step[], path: ListPath, change: (list: Step[]) => Step[]): Step[] {
    const [first, ...rest] = path;
    if (!first) return change(steps);
    return steps.map((step, i) =>
        i === first.step
            ? withExits(
                  step,
                  exitsOf(step).map((exit, j) =>
                      j === first.exit ? { ...exit, steps: changeList(exit.steps, rest, change) } : exit,
                  ),
              )
            : step,
    );
}

export function insertAt(steps: Step[], place: Place, step: Step): Step[] {
    return changeList(steps, place.list, (list) => list.toSpliced(place.index, 0, step));
}

export function removeAt(steps: Step[], place: Place): Step[] {
    return changeList(steps, place.list, (list) => list.toSpliced(place.index, 1));
}

export function replaceAt(steps: Step[], place: Place, step: Step): Step[] {
    return changeList(steps, place.list, (list) => list.with(place.index, step));
}

export function changeExits(steps: Step[], place: Place, change: (exits: Exit[]) => Exit[]): Step[] {
    const step = listAt(steps, place.list)[place.index];
    return step ? replaceAt(steps, place, withExits(step, change(exitsOf(step)))) : steps;
}

/** Moves a step: up and down within its list and out of it at its ends, in under the last exit above, out after its parent. */
export function move(steps: Step[], place: Place, way: 'up' | 'down' | 'in' | 'out'): Step[] {
    const list = listAt(steps, place.list);
    const step = list[place.index];
    if (!step) return steps;
    const parent = place.list.at(-1);
    const outer = place.list.slice(0, -1);
    const without = removeAt(steps, place);
    if (way === 'up' && place.index > 0) return insertAt(without, { list: place.list, index: place.index - 1 }, step);
    if (way === 'down' && place.index < list.length - 1)
        return insertAt(without, { list: place.list, index: place.index + 1 }, step);
    if (way === 'up' && parent) return insertAt(without, { list: outer, index: parent.step }, step);
    if ((way === 'down' || way === 'out') && parent)
        return insertAt(without, { list: outer, index: parent.step + 1 }, step);
    const above = list[place.index - 1];
    const exits = above ? exitsOf(above) : [];
    if (way === 'in' && exits.length > 0) {
        const last = exits.length - 1;
        return insertAt(
            without,
            { list: [...place.list, { step: place.index - 1, exit: last }], index: exits[last]?.steps.length ?? 0 },
            step,
        );
    }
    return steps;
}

export function newStep(kind: Step['do'], steps: Step[]): Step {
    const taken = new Set(rowsOf(steps).flatMap((row) => (row.is === 'step' ? [row.step.id] : [])));
    let n = taken.size + 1;
    while (taken.has(`s${n}`)) n++;
    const id = `s${n}`;
    return STEPS[kind].blank(id);
}

/** Rows that are seen: those within a folded step are not. */
export function unfolded(rows: Row[], folded: ReadonlySet<string>): Row[] {
    let hidden = Number.POSITIVE_INFINITY;
    return rows.filter((row) => {
        if (row.depth > hidden) return false;
        hidden = folded.has(row.key) ? row.depth : Number.POSITIVE_INFINITY;
        return true;
    });
}

/** Steps from elsewhere, with ids that are not taken here. */
export function withFreshIds(copied: Step[], steps: Step[]): Step[] {
    const taken = new Set(rowsOf(steps).flatMap((row) => (row.is === 'step' ? [row.step.id] : [])));
    let n = 0;
    const fresh = (step: Step): Step => {
        do n++;
        while (taken.has(`s${n}`));
        const named = { ...step, id: `s${n}` };
        return withExits(
            named,
            exitsOf(named).map((exit) => ({ ...exit, steps: exit.steps.map(fresh) })),
        );
    };
    return copied.map(fresh);
}

/** Steps put one after the other at a place. */
export function insertAllAt(steps: Step[], place: Place, added: Step[]): Step[] {
    return changeList(steps, place.list, (list) => list.toSpliced(place.index, 0, ...added));
}

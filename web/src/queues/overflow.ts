import type { Stay } from '../api/types';

/** Somebody who may take the call, in the picture: boxes stand in rows, the further from the start the lower. */
export interface Box {
    id: string;
    name: string;
    kind: string | null;
    start: boolean;
    row: number;
    /** From the left, in its row. */
    place: number;
}

export interface Arrow {
    from: string;
    to: string;
    exits: string[];
    seconds: number;
    /** Whether calls come back by it. */
    back: boolean;
}

export const ENDS = 'the call ends';

/** Boxes and arrows of an overflow. A mailbox stands once, however many lead to it. */
export function layOut(stays: Stay[]): { boxes: Box[]; arrows: Arrow[] } {
    const byKey = new Map(stays.map((stay) => [stay.key, stay]));
    const boxOf = (key: string | null) => {
        const stay = key === null ? undefined : byKey.get(key);
        return stay ? (stay.flows.length === 0 ? stay.by : stay.key) : ENDS;
    };
    const boxes = new Map<string, Box>();
    const arrows: Arrow[] = [];
    const seen = new Set<string>();
    const walk = (stay: Stay, way: string[]) => {
        const id = boxOf(stay.key);
        if (seen.has(stay.key)) return;
        seen.add(stay.key);
        boxes.set(id, boxes.get(id) ?? { id, name: stay.name, kind: stay.kind, start: stay.start, row: 0, place: 0 });
        for (const { exits, seconds, to } of stay.flows) {
            const target = boxOf(to);
            arrows.push({ from: id, to: target, exits, seconds, back: [...way, id].includes(target) });
            if (target === ENDS) boxes.set(ENDS, { id: ENDS, name: ENDS, kind: null, start: false, row: 0, place: 0 });
            const next = to === null ? undefined : byKey.get(to);
            if (next) walk(next, [...way, id]);
        }
    };
    for (const stay of stays.filter((one) => one.start)) walk(stay, []);
    sink(boxes, arrows);
    placeSideBySide([...boxes.values()]);
    return { boxes: [...boxes.values()], arrows };
}

/** Every box below all from which calls come to it; those that come back do not count. */
function sink(boxes: Map<string, Box>, arrows: Arrow[]) {
    for (let moved = true, rounds = 0; moved && rounds <= boxes.size; rounds++) {
        moved = false;
        for (const { from, to, back } of arrows) {
            const [above, below] = [boxes.get(from), boxes.get(to)];
            if (!back && above && below && below.row <= above.row) {
                below.row = above.row + 1;
                moved = true;
            }
        }
    }
}

function placeSideBySide(boxes: Box[]) {
    const taken = new Map<number, number>();
    for (const box of boxes) {
        box.place = taken.get(box.row) ?? 0;
        taken.set(box.row, box.place + 1);
    }
}

/** A length of time, in a few characters. */
export function span(seconds: number): string {
    const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
    return minutes === 0 ? `${rest} s` : rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
}

const WORDS: Record<string, string> = {
    'no agents': 'nobody signed in',
    unreachable: 'nobody can be reached',
    full: 'full',
    'too long': 'the wait is too long',
    waited: 'waited for too long',
    nobody: 'nobody answers',
    busy: 'all are busy',
};

/** Why calls go by an arrow, and after how long. */
export function arrowWords({ exits, seconds }: Arrow): string {
    const why = exits.map((exit) => WORDS[exit] ?? exit).filter(Boolean);
    return [seconds === 0 ? 'at once' : `after ${span(seconds)} at most`, why.join(', ')].filter(Boolean).join(': ');
}

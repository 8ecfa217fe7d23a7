import { compare, getValueByPointer } from 'fast-json-patch';

/** One thing that an edit changed in an element: where, and what stood there before and after. */
export interface Difference {
    /** JSON Pointer. */
    pointer: string;
    place: string;
    before: unknown;
    after: unknown;
}

/** What differs between two states of an element; a list entry that came or went is one difference. */
export function differences(before: object, after: object): Difference[] {
    return compare(before, after).map(({ op, path }) => {
        const old = op === 'add' ? undefined : getValueByPointer(before, path);
        const now = op === 'remove' ? undefined : getValueByPointer(after, path);
        return { pointer: path, place: placeWords(path, op === 'add' ? after : before), before: old, after: now };
    });
}

/** A place in an element as people would say it: "steps › ring › seconds". */
export function placeWords(pointer: string, element: object): string {
    let value: unknown = element;
    return pointer
        .split('/')
        .slice(1)
        .map((token) => token.replaceAll('~1', '/').replaceAll('~0', '~'))
        .map((token) => {
            const isEntry = Array.isArray(value);
            value = (value as Record<string, unknown> | undefined)?.[token];
            return isEntry ? (nameOf(value) ?? `${Number(token) + 1}.`) : spaced(token);
        })
        .join(' › ');
}

/** A value in a few words. */
export function valueWords(value: unknown, elementName: (id: string) => string | undefined): string {
    if (value === undefined || value === null || value === '') return 'nothing';
    if (value === true) return 'yes';
    if (value === false) return 'no';
    if (typeof value === 'string') return elementName(value) ?? value;
    if (typeof value === 'number') return String(value);
    const called = nameOf(value);
    const text = called ? (elementName(called) ?? called) : JSON.stringify(value);
    return text.length > 80 ? `${text.slice(0, 79)}…` : text;
}

function nameOf(value: unknown): string | undefined {
    const { name, label, who, on, do: step, date } = (value ?? {}) as Record<string, unknown>;
    return [name, label, who, step, on, date].find((one): one is string => typeof one === 'string' && one !== '');
}

/** Field names of the plan's JSON are English already. */
const spaced = (name: string) => name.replaceAll(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);

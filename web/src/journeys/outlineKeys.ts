import type { Row } from './outlineModel';

/** What a key does in the outline. */
export type OutlineAct =
    | { act: 'focus'; row: string }
    | { act: 'move'; way: 'up' | 'down' | 'in' | 'out' }
    | { act: 'edit' }
    | { act: 'insert' }
    | { act: 'remove' };

const WAYS: Record<string, 'up' | 'down' | 'in' | 'out'> = {
    ArrowUp: 'up',
    ArrowDown: 'down',
    ArrowRight: 'in',
    ArrowLeft: 'out',
};

/** What a key does on a row; undefined where it is none of the outline's. */
export function outlineAct(
    rows: Row[],
    row: Row,
    { key, altKey }: { key: string; altKey: boolean },
    disabled: boolean,
): OutlineAct | undefined {
    const way = WAYS[key];
    if (altKey) return way && row.is === 'step' && !disabled ? { act: 'move', way } : undefined;
    const at = rows.indexOf(row);
    const goal =
        key === 'ArrowDown'
            ? rows[at + 1]
            : key === 'ArrowUp'
              ? rows[at - 1]
              : key === 'ArrowLeft'
                ? rows.slice(0, at).findLast((other) => other.depth < row.depth)
                : key === 'Home'
                  ? rows[0]
                  : key === 'End'
                    ? rows.at(-1)
                    : undefined;
    if (way || key === 'Home' || key === 'End') return goal && { act: 'focus', row: goal.key };
    if (disabled) return undefined;
    if (key === 'Enter') return { act: 'edit' };
    if (key === 'Insert' || key === '+') return { act: 'insert' };
    if (key === 'Delete') return { act: 'remove' };
    return undefined;
}

/** The entry that typed letters mean: the first that begins with them. Nothing is chosen by it. */
export function typedEntry(labels: string[], typed: string): number {
    return typed === '' ? -1 : labels.findIndex((label) => label.toLowerCase().startsWith(typed.toLowerCase()));
}

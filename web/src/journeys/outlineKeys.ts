import { exitsOf, type Row } from './outlineModel';

/** What a key does in the outline. */
export type OutlineAct =
    | { act: 'focus'; row: string }
    | { act: 'move'; way: 'up' | 'down' | 'in' | 'out' }
    | { act: 'edit' }
    | { act: 'listen' }
    | { act: 'insert' }
    | { act: 'remove' }
    | { act: 'copy' | 'cut' | 'paste' }
    | { act: 'fold' | 'unfold' };

const WAYS: Record<string, 'up' | 'down' | 'in' | 'out'> = {
    ArrowUp: 'up',
    ArrowDown: 'down',
    ArrowRight: 'in',
    ArrowLeft: 'out',
};

interface Pressed {
    key: string;
    altKey: boolean;
    ctrlKey?: boolean;
    metaKey?: boolean;
}

const CLIPBOARD: Record<string, 'copy' | 'cut' | 'paste'> = { c: 'copy', x: 'cut', v: 'paste' };
const NOTHING: ReadonlySet<string> = new Set();

/** What a key does on a row; undefined where it is none of the outline's. */
export function outlineAct(
    rows: Row[],
    row: Row,
    { key, altKey, ctrlKey = false, metaKey = false }: Pressed,
    disabled: boolean,
    folded: ReadonlySet<string> = NOTHING,
): OutlineAct | undefined {
    const way = WAYS[key];
    if (ctrlKey || metaKey) {
        const act = CLIPBOARD[key.toLowerCase()];
        return act && (act === 'copy' || !disabled) ? { act } : undefined;
    }
    if (altKey) return way && row.is === 'step' && !disabled ? { act: 'move', way } : undefined;
    const canFold = row.is === 'step' && exitsOf(row.step).length > 0;
    if (canFold && key === 'ArrowLeft' && !folded.has(row.key)) return { act: 'fold' };
    if (canFold && key === 'ArrowRight' && folded.has(row.key)) return { act: 'unfold' };
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
    if (key === 'l') return { act: 'listen' };
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

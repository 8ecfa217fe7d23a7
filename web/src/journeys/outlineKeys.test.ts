import { expect, test } from 'vitest';
import type { Step } from '../api/types';
import { outlineAct, typedEntry } from './outlineKeys';
import { insertAllAt, type Row, rowsOf, unfolded, withFreshIds } from './outlineModel';

const steps = [
    { id: 'a', do: 'menu', exits: [{ on: '1', label: '', steps: [{ id: 'b', do: 'end' }] }] },
    { id: 'c', do: 'end' },
] as unknown as Step[];
const rows = rowsOf(steps);
const row = (key: string) => rows.find((one) => one.key === key) as Row;
const on = (key: string, pressed: string, altKey = false, disabled = false) =>
    outlineAct(rows, row(key), { key: pressed, altKey }, disabled);

test('arrows go from row to row, and left to what holds the row', () => {
    expect(rows.map((one) => one.key)).toEqual(['a', 'a:1', 'b', 'c']);
    expect(on('a', 'ArrowDown')).toEqual({ act: 'focus', row: 'a:1' });
    expect(on('c', 'ArrowUp')).toEqual({ act: 'focus', row: 'b' });
    expect(on('b', 'ArrowLeft')).toEqual({ act: 'focus', row: 'a:1' });
    expect(on('b', 'Home')).toEqual({ act: 'focus', row: 'a' });
    expect(on('b', 'End')).toEqual({ act: 'focus', row: 'c' });
    expect([on('a', 'ArrowUp'), on('c', 'ArrowDown'), on('c', 'ArrowLeft')]).toEqual([undefined, undefined, undefined]);
});

test('Alt moves steps, not exits', () => {
    expect(on('c', 'ArrowUp', true)).toEqual({ act: 'move', way: 'up' });
    expect(on('c', 'ArrowRight', true)).toEqual({ act: 'move', way: 'in' });
    expect(on('a:1', 'ArrowUp', true)).toBeUndefined();
    expect(on('c', 'Enter', true)).toBeUndefined();
});

test('what cannot be edited can be read', () => {
    expect(on('a', 'ArrowDown', false, true)).toEqual({ act: 'focus', row: 'a:1' });
    for (const key of ['Enter', '+', 'Insert', 'Delete']) expect(on('a', key, false, true)).toBeUndefined();
    expect(on('a', 'l', false, true)).toEqual({ act: 'listen' });
    expect(on('c', 'ArrowUp', true, true)).toBeUndefined();
    expect([on('a', 'Enter'), on('a', '+'), on('a', 'Delete')]).toEqual([
        { act: 'edit' },
        { act: 'insert' },
        { act: 'remove' },
    ]);
    expect(on('a', 'x')).toBeUndefined();
});

test('letters lead to an entry and choose nothing', () => {
    const labels = ['Say', 'Menu', 'Message'];
    expect(['m', 'me', 'men', 'mes', 'MES', 'x', ''].map((typed) => typedEntry(labels, typed))).toEqual([
        1, 1, 1, 2, 2, -1, -1,
    ]);
});

test('exits are folded to the left and unfolded to the right', () => {
    const folded = new Set(['a']);
    const press = (key: string, which: ReadonlySet<string>) =>
        outlineAct(rows, row('a'), { key, altKey: false }, false, which);
    expect(press('ArrowLeft', new Set())).toEqual({ act: 'fold' });
    expect(press('ArrowRight', folded)).toEqual({ act: 'unfold' });
    expect(press('ArrowLeft', folded)).toBeUndefined();
    expect(unfolded(rows, folded).map((one) => one.key)).toEqual(['a', 'c']);
    expect(unfolded(rows, new Set()).length).toBe(4);
});

test('steps are copied, cut and pasted with ids of their own', () => {
    const press = (key: string, disabled = false) =>
        outlineAct(rows, row('a'), { key, altKey: false, ctrlKey: true }, disabled);
    expect([press('c'), press('X'), press('v'), press('b')]).toEqual([
        { act: 'copy' },
        { act: 'cut' },
        { act: 'paste' },
        undefined,
    ]);
    expect([press('c', true), press('v', true)]).toEqual([{ act: 'copy' }, undefined]);
    // Into itself: a copy of it, no ring.
    const inside = { list: [{ step: 0, exit: 0 }], index: 1 };
    const pasted = insertAllAt(steps, inside, withFreshIds(steps, steps));
    const ids = rowsOf(pasted).flatMap((one) => (one.is === 'step' ? [one.step.id] : []));
    expect(ids).toEqual(['a', 'b', 's1', 's2', 's3', 'c']);
});

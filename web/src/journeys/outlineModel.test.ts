import { describe, expect, it } from 'vitest';
import type { Finding, Step } from '../api/types';
import { foundAt, insertAt, move, newStep, removeAt, rowsOf } from './outlineModel';

const say = (id: string): Step => ({ id, do: 'say', prompt: null, exits: [] });
const menu = (id: string, ...lists: Step[][]): Step => ({
    id,
    do: 'menu',
    prompt: null,
    wait: 5,
    tries: 2,
    duringPrompt: true,
    secondPrompt: null,
    wrongPrompt: null,
    words: [],
    dial: null,
    exits: lists.map((steps, i) => ({ on: String(i + 1), label: '', steps })),
});
const outline = (steps: Step[]) => rowsOf(steps).map((row) => `${' '.repeat(row.depth)}${row.key}`);

describe('the outline of a journey', () => {
    const steps = [say('a'), menu('m', [say('b'), say('c')], []), say('d')];

    it('is read top-down, exits and their steps further in', () => {
        expect(outline(steps)).toEqual(['a', 'm', ' m:1', '  b', '  c', ' m:2', 'd']);
        expect(rowsOf(steps).find((row) => row.key === 'c')?.pointer).toBe('/steps/1/exits/0/steps/1');
    });

    it('moves a step within its list, and out of it at its ends', () => {
        expect(outline(move(steps, { list: [], index: 2 }, 'up'))).toEqual([
            'a',
            'd',
            'm',
            ' m:1',
            '  b',
            '  c',
            ' m:2',
        ]);
        expect(outline(move(steps, { list: [{ step: 1, exit: 0 }], index: 0 }, 'up'))).toEqual([
            'a',
            'b',
            'm',
            ' m:1',
            '  c',
            ' m:2',
            'd',
        ]);
        expect(outline(move(steps, { list: [{ step: 1, exit: 0 }], index: 1 }, 'down'))).toEqual([
            'a',
            'm',
            ' m:1',
            '  b',
            ' m:2',
            'c',
            'd',
        ]);
    });

    it('moves a step in under the last exit above it, and out again', () => {
        const inside = move(steps, { list: [], index: 2 }, 'in');
        expect(outline(inside)).toEqual(['a', 'm', ' m:1', '  b', '  c', ' m:2', '  d']);
        expect(outline(move(inside, { list: [{ step: 1, exit: 1 }], index: 0 }, 'out'))).toEqual(outline(steps));
    });

    it('leaves a step where it cannot go', () => {
        expect(move(steps, { list: [], index: 0 }, 'up')).toBe(steps);
        expect(move(steps, { list: [], index: 0 }, 'in')).toBe(steps);
        expect(move(steps, { list: [], index: 0 }, 'out')).toBe(steps);
    });

    it('takes back an insertion by removal', () => {
        const place = { list: [{ step: 1, exit: 1 }], index: 0 };
        expect(removeAt(insertAt(steps, place, say('new')), place)).toEqual(steps);
    });

    it('gives a new step an id that no other has', () => {
        expect(newStep('end', [say('s1'), say('s3')]).id).toBe('s4');
        expect(newStep('end', [say('s1'), say('s2')]).id).toBe('s3');
    });
});

describe('findings of a row', () => {
    it('are those of the step and its fields, or of the exit', () => {
        const found = (pointer: string, blocks = false) => ({ pointer, blocks }) as Finding;
        const [step, exit] = rowsOf([menu('one', [say('in')])]);
        if (!step || !exit) throw new Error('Two rows and more.');
        const all = [
            found('/steps/0'),
            found('/steps/0/exits'),
            found('/steps/0/prompt', true),
            found('/steps/0/exits/0'),
            found('/steps/0/exits/0/steps/0'),
            found('/steps/01'),
        ];
        expect(foundAt(step, all).map((one) => one.pointer)).toEqual(['/steps/0', '/steps/0/exits']);
        expect(foundAt(exit, all).map((one) => one.pointer)).toEqual(['/steps/0/exits/0']);
    });
});

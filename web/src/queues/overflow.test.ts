import { describe, expect, it } from 'vitest';
import type { Stay } from '../api/types';
import { arrowWords, ENDS, layOut } from './overflow';

const stay = (key: string, flows: [string | null, number][], more: Partial<Stay> = {}): Stay => ({
    key,
    journey: 'jrn',
    step: key,
    start: false,
    by: key,
    kind: 'queue',
    name: key,
    longest: 0,
    comesBack: false,
    flows: flows.map(([to, seconds]) => ({ exits: ['waited'], seconds, to })),
    ...more,
});

describe('an overflow as boxes and arrows', () => {
    it('stands each below those that lead to it', () => {
        const stays = [
            stay(
                'one',
                [
                    ['box', 0],
                    ['two', 60],
                ],
                { start: true },
            ),
            stay('two', [['box', 20]]),
            stay('box', []),
        ];
        const { boxes } = layOut(stays);
        expect(boxes.map(({ id, row }) => [id, row])).toEqual([
            ['one', 0],
            ['box', 2],
            ['two', 1],
        ]);
    });

    it('shows a mailbox once, and the end of the call', () => {
        const stays = [
            stay(
                'one',
                [
                    ['a', 0],
                    ['b', 0],
                    [null, 5],
                ],
                { start: true },
            ),
            stay('a', [], { by: 'mbx' }),
            stay('b', [], { by: 'mbx' }),
        ];
        expect(layOut(stays).boxes.map(({ id }) => id)).toEqual(['one', 'mbx', ENDS]);
    });

    it('tells what comes back', () => {
        const stays = [stay('one', [['two', 60]], { start: true }), stay('two', [['one', 20]])];
        const { boxes, arrows } = layOut(stays);
        expect(arrows.map(({ from, back }) => [from, back])).toEqual([
            ['one', false],
            ['two', true],
        ]);
        expect(boxes.map(({ row }) => row)).toEqual([0, 1]);
    });

    it('says why and after how long', () => {
        expect(arrowWords({ from: '', to: '', exits: ['waited', 'full'], seconds: 245, back: false })).toBe(
            'after 4 min 5 s at most: waited for too long, full',
        );
        expect(arrowWords({ from: '', to: '', exits: ['no agents'], seconds: 0, back: false })).toBe(
            'at once: nobody signed in',
        );
    });
});

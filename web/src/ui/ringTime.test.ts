import { describe, expect, test } from 'vitest';
import { readRingTime, ringsIn } from './ringTime';

describe('rings and seconds say the same', () => {
    test.each([
        ['3 rings', 6000, 18],
        ['18 s', 6000, 18],
        ['18', 6000, 18],
        ['3 rings', 3000, 9],
        ['2.5 rings', 3000, 8],
        ['1 ring', 5000, 5],
        ['three', 5000, null],
        ['-3', 5000, null],
        ['', 5000, null],
    ])('"%s" at %i ms a ring is %s s', (text, cadence, seconds) => {
        expect(readRingTime(text, cadence)).toBe(seconds);
    });

    test.each([
        [18, 6000, '3 rings'],
        [5, 5000, '1 ring'],
        [8, 3000, '2½ rings'],
        [0, 3000, '0 rings'],
        [2, 4000, '½ rings'],
    ])('%i s at %i ms a ring are %s', (seconds, cadence, words) => {
        expect(ringsIn(seconds, cadence)).toBe(words);
    });
});

import { describe, expect, it } from 'vitest';
import type { Hours, Step } from '../../api/types';
import { newStep } from '../outlineModel';
import { exitLabel, possibleExits, STEP_KINDS } from '.';
import { KEYS } from './keys';

const hours: Hours = {
    id: 'hrs_x',
    kind: 'hours',
    name: 'X',
    site: 'sit_x',
    default: 'shut',
    week: [],
    zone: null,
    seasons: [],
    calendars: [],
    codes: [],
    specialDays: [],
    states: [
        { key: 'open', name: 'Open', open: true },
        { key: 'shut', name: 'Closed for lunch', open: false },
    ],
};

describe('the ways out of a step', () => {
    const step = (kind: Step['do']) => newStep(kind, []);

    it('of a menu are the twelve keys, silence, a wrong key and whoever was dialled in vain', () => {
        const exits = possibleExits(step('menu'), undefined).map((one) => one.on);
        expect(exits).toHaveLength(15);
        expect(exits.slice(0, 12).toSorted()).toEqual([...'#*0123456789']);
    });

    it('of hours are their states, by the names that people gave them', () => {
        expect(possibleExits(step('hours'), hours)).toEqual([
            { on: 'open', label: 'open' },
            { on: 'shut', label: 'closed for lunch' },
        ]);
        expect(possibleExits(step('hours'), undefined)).toEqual([]);
        expect(exitLabel(step('hours'), 'gone', hours)).toBe('gone');
    });

    it('of a ring are what can go wrong', () => {
        expect(possibleExits(step('ring'), undefined).map((one) => one.label)).toEqual([
            'nobody answers',
            'busy',
            'unreachable',
            'refused',
            ...KEYS.map((key) => `key ${key} meanwhile`),
        ]);
    });

    it('come with a label of its own for every kind of step', () => {
        expect(new Set(STEP_KINDS.map((kind) => kind.label)).size).toBe(STEP_KINDS.length);
    });

    it('of others are none, and every kind can be inserted', () => {
        for (const kind of STEP_KINDS) expect(step(kind.do).do).toBe(kind.do);
        for (const kind of ['tag', 'go', 'again', 'end', 'fax'] as const)
            expect(possibleExits(step(kind), hours)).toEqual([]);
    });
});

import type { Team } from '../api/types';

export type Member = Team['members'][number];

/** A way in which a team rings, and how it is drawn: three members below one another, their ringing in sixths of the time. */
export interface Pattern {
    pattern: Team['pattern'];
    name: string;
    about: string;
    inTurn: boolean;
    bars: { row: number; from: number; to: number }[];
    /** What was before counts: so many calls that each of them had, or how long each has waited. */
    before?: { is: 'calls' | 'waited'; each: [number, number, number] };
    /** Bars as they may be: the order is anybody's guess. */
    maybe?: true;
    /** Phones answer by themselves. */
    answered?: true;
}

/** One after the other, in the order of these rows. */
const inTurn = (...rows: number[]) => rows.map((row, i) => ({ row, from: 2 * i, to: 2 * i + 2 }));
const TOGETHER = [0, 1, 2].map((row) => ({ row, from: 0, to: 6 }));

/** The ways in which a team rings, each explained where it is chosen. */
export const PATTERNS: Pattern[] = [
    {
        pattern: 'all at once',
        name: 'All at once',
        about: 'the first to answer has the call',
        inTurn: false,
        bars: TOGETHER,
    },
    {
        pattern: 'one after the other',
        name: 'One after the other',
        about: 'in this order',
        inTurn: true,
        bars: inTurn(0, 1, 2),
    },
    {
        pattern: 'rotating',
        name: 'Rotating',
        about: 'one after the other, from the one after who rang last',
        inTurn: true,
        bars: inTurn(1, 2, 0),
        before: { is: 'calls', each: [1, 0, 0] },
    },
    {
        pattern: 'longest idle first',
        name: 'Longest idle first',
        about: 'one after the other, whoever has waited longest first',
        inTurn: true,
        bars: inTurn(2, 0, 1),
        before: { is: 'waited', each: [2, 1, 3] },
    },
    {
        pattern: 'fewest calls first',
        name: 'Fewest calls first',
        about: 'one after the other, whoever had the fewest today first',
        inTurn: true,
        bars: inTurn(1, 2, 0),
        before: { is: 'calls', each: [3, 1, 2] },
    },
    {
        pattern: 'random',
        name: 'Random',
        about: 'one after the other, in any order',
        inTurn: true,
        bars: inTurn(2, 0, 1),
        maybe: true,
    },
    {
        pattern: 'widening',
        name: 'Widening',
        about: 'starts with tier 1, then adds the next tiers',
        inTurn: false,
        bars: [0, 1, 2].map((row) => ({ row, from: 2 * row, to: 6 })),
    },
    {
        pattern: 'paging',
        name: 'Paging',
        about: 'phones inside answer by themselves, and everybody hears the caller',
        inTurn: false,
        bars: TOGETHER,
        answered: true,
    },
];

export function newMember(who: string): Member {
    return { who, on: true, tier: 1, seconds: null, askFirst: false };
}

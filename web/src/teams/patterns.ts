import type { Team } from '../api/types';

export type Member = Team['members'][number];

/** The ways in which a team rings, each explained where it is chosen. */
export const PATTERNS: { pattern: Team['pattern']; about: string; inTurn: boolean }[] = [
    { pattern: 'all at once', about: 'All at once: the first to answer has the call', inTurn: false },
    { pattern: 'one after the other', about: 'One after the other, in this order', inTurn: true },
    { pattern: 'rotating', about: 'Rotating: one after the other, from the one after who rang last', inTurn: true },
    {
        pattern: 'longest idle first',
        about: 'Longest idle first: one after the other, whoever has waited longest first',
        inTurn: true,
    },
    {
        pattern: 'fewest calls first',
        about: 'Fewest calls first: one after the other, whoever had the fewest today first',
        inTurn: true,
    },
    { pattern: 'random', about: 'Random: one after the other, in any order', inTurn: true },
    { pattern: 'widening', about: 'Widening: starts with tier 1, then adds the next tiers', inTurn: false },
    {
        pattern: 'paging',
        about: 'Paging: phones inside answer by themselves, and everybody hears the caller',
        inTurn: false,
    },
];

export function newMember(who: string): Member {
    return { who, on: true, tier: 1, seconds: null, askFirst: false };
}

import { describe, expect, test } from 'vitest';
import type { Person } from '../api/types';
import { ENDS, newRule, withoutPhone } from './rules';

const ANN: Person = {
    id: 'per_ann',
    kind: 'person',
    name: 'Ann',
    extension: '',
    site: 'sit_one',
    phones: [{ id: 'desk', type: 'desk', label: 'Desk', on: true, askFirst: false, confirm: 10, calls: 1 }],
    refusesForAll: false,
    listing: { on: true, reason: '', prompt: null },
    mailbox: 'mbx_ann',
    rules: [],
    shows: null,
};

describe('rules to begin with', () => {
    test('a new rule rings every phone, then the own mailbox', () => {
        const rule = newRule(ANN, 'ring');
        expect([rule.id, rule.name]).toEqual(['rule', 'Rule 1']);
        expect(rule.stages).toEqual([{ phones: ['desk'], teams: [], after: 0, seconds: 25 }]);
        expect(rule.next.nobody).toBe('mbx_ann');
    });

    test('forwarding is for direct calls, do not disturb for all; both whatever the status, and with an end', () => {
        const forward = newRule(ANN, 'forward', '2026-11-23T18:00');
        expect([forward.when.via, forward.stages, forward.until]).toEqual(['direct', [], '2026-11-23T18:00']);
        expect(newRule(ANN, 'do not disturb').when.via).toBe('any');
        expect(forward.when.statuses).toHaveLength(5);
    });

    test('a second one gets an id of its own', () => {
        expect(newRule({ ...ANN, rules: [newRule(ANN, 'forward')] }, 'forward').id).toBe('forward_2');
    });

    test('a phone that goes leaves the rules as well', () => {
        const rule = {
            ...newRule(ANN, 'ring'),
            stages: [
                { phones: ['desk'], teams: [], after: 0, seconds: 10 },
                { phones: ['desk'], teams: ['team_a'], after: 10, seconds: 10 },
                { phones: ['desk', 'mobile'], teams: [], after: 20, seconds: 10 },
            ],
        };
        const left = withoutPhone({ ...ANN, rules: [rule] }, 'desk');
        expect(left.phones).toEqual([]);
        expect(left.rules[0]?.stages.map((stage) => [stage.phones, stage.teams])).toEqual([
            [[], ['team_a']],
            [['mobile'], []],
        ]);
    });

    test('ends are counted on the wall clock', () => {
        expect(ENDS.map((end) => end.until('2026-12-31T23:30:00'))).toEqual([
            null,
            '2027-01-01T00:30',
            '2027-01-01T03:30',
            '2027-01-01T00:00',
            '2027-01-07T23:30',
        ]);
    });
});

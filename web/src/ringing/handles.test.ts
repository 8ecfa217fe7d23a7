import { describe, expect, test } from 'vitest';
import type { Person, Rung, Team } from '../api/types';
import { newRule } from '../people/rules';
import { personHandles, teamHandles } from './handles';

const phone = (id: string, on = true) => ({
    id,
    type: 'desk' as const,
    label: id,
    on,
    askFirst: false,
    confirm: 10,
    calls: 1,
});
const ANN: Person = {
    id: 'per_ann',
    kind: 'person',
    name: 'Ann',
    extension: '',
    site: 'sit_one',
    phones: [phone('desk'), phone('laptop'), phone('attic', false)],
    refusesForAll: false,
    listing: { on: true, reason: '', prompt: null },
    mailbox: null,
    rules: [],
    shows: null,
};
const bar = (person: string, from: number, until: number): Rung => ({
    phone: `${person}/desk`,
    person,
    label: 'Desk',
    type: 'desk',
    from,
    rings: from,
    until,
    outcome: 'not answered',
    askedAt: null,
    ownMailbox: null,
    line: null,
    dials: '',
    shows: null,
});

describe('dragging the bars of a person', () => {
    const rule = {
        ...newRule(ANN, 'ring'),
        stages: [
            { phones: ['desk'], teams: [], after: 0, seconds: 10 },
            { phones: ['laptop'], teams: [], after: 10, seconds: 20 },
        ],
    };
    const person = { ...ANN, rules: [rule] };
    const handle = (label: string) => personHandles(person, rule.id).find((one) => one.label === label);

    test('the start moves the delay and leaves the end', () => {
        const start = handle('laptop begins to ring, stage 2');
        expect([start?.at, start?.min, start?.max]).toEqual([10, 0, 29]);
        expect(start?.put(4).rules[0]?.stages[1]).toMatchObject({ after: 4, seconds: 26 });
    });

    test('the end changes the length', () => {
        const end = handle('desk stops ringing, stage 1');
        expect([end?.at, end?.min]).toEqual([10, 1]);
        expect(end?.put(14).rules[0]?.stages[0]).toMatchObject({ after: 0, seconds: 14 });
    });

    test('without a rule the first drag makes one, with a stage for each phone that is on', () => {
        const [, end] = personHandles(ANN, null);
        const made = end?.put(12).rules;
        expect(made).toHaveLength(1);
        expect(made?.[0]?.stages.map((stage) => [stage.phones, stage.seconds])).toEqual([
            [['desk'], 12],
            [['laptop'], 25],
        ]);
    });
});

describe('dragging the bars of a team', () => {
    const member = (who: string, tier = 1, seconds: number | null = null) => ({
        who,
        on: true,
        tier,
        seconds,
        askFirst: false,
    });
    const team = (pattern: Team['pattern'], members: Team['members']): Team => ({
        id: 'team_one',
        kind: 'team',
        name: 'One',
        pattern,
        members,
        memberSeconds: 10,
        widenSeconds: 15,
        followRules: false,
        skipBusy: false,
        pauseSeconds: 0,
    });

    test('all at once: the end is the member’s alert time', () => {
        const [end] = teamHandles(team('all at once', [member('per_ann')]), [bar('per_ann', 0, 30)]);
        expect(end?.put(12).members[0]?.seconds).toBe(12);
    });

    test('in turn: the end is everybody’s turn, unless the member has a time of their own', () => {
        const both = team('rotating', [member('per_ann'), member('per_ben', 1, 8)]);
        const [ann, ben] = teamHandles(both, [bar('per_ann', 0, 10), bar('per_ben', 10, 18)]);
        expect(ann?.put(12).memberSeconds).toBe(12);
        expect(ben?.put(30).members[1]?.seconds).toBe(20);
    });

    test('widening: the start of tier 3 says how fast the team widens', () => {
        const handles = teamHandles(team('widening', [member('per_ann', 3)]), [bar('per_ann', 30, 45)]);
        const start = handles.find((one) => one.edge === 'start');
        expect([20, 29, 31].map((second) => start?.put(second).widenSeconds)).toEqual([10, 14, 16]);
    });

    test('who does not ring has nothing to drag', () => {
        expect(teamHandles(team('all at once', [member('per_ann')]), [bar('per_ann', 0, 0)])).toEqual([]);
    });
});

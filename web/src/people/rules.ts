import type { AnsweringRule, Person } from '../api/types';
import { unique } from '../plan/unique';

/** What the parts of a rule's card get. */
export interface RuleProps {
    rule: AnsweringRule;
    person: Person;
    disabled: boolean;
    onChange: (part: Partial<AnsweringRule>) => void;
}

type Made = 'ring' | 'forward' | 'do not disturb';

const NAMES: Record<Made, string> = { ring: 'Rule', forward: 'Forward everything', 'do not disturb': 'Do not disturb' };
const EVERY_STATUS: AnsweringRule['when']['statuses'] = [
    'available',
    'away',
    'do not disturb',
    'on leave',
    'signed out',
];

/**
 * A rule to begin with: every phone rings, then the own mailbox; or nothing rings and every call goes on at once. What
 * is forwarded still rings for teams; somebody who does not want to be disturbed is not rung by anybody.
 */
export function newRule(person: Person, made: Made, until: string | null = null): AnsweringRule {
    const phones = person.phones.map((one) => one.id);
    const rings = made === 'ring';
    const base = made === 'do not disturb' ? 'quiet' : made === 'ring' ? 'rule' : made;
    const id = unique(
        base,
        person.rules.map((one) => one.id),
        '_',
    );
    return {
        id,
        name: rings ? `${NAMES.ring} ${person.rules.length + 1}` : NAMES[made],
        on: true,
        until,
        when: {
            hours: null,
            states: [],
            windows: [],
            statuses: rings ? [] : EVERY_STATUS,
            via: made === 'forward' ? 'direct' : 'any',
            callers: [],
        },
        stages: rings && phones.length > 0 ? [{ phones, teams: [], after: 0, seconds: 25 }] : [],
        againMinutes: 0,
        next: { nobody: person.mailbox, busy: person.mailbox, unreachable: person.mailbox },
        greetings: { nobody: null, busy: null, unreachable: null },
    };
}

/** Ends that one click gives a rule, on the clock of the person's site; null for none. */
export const ENDS: { label: string; until: (now: string) => string | null }[] = [
    { label: 'until it is taken out', until: () => null },
    { label: 'for an hour', until: (now) => later(now, 60) },
    { label: 'for four hours', until: (now) => later(now, 240) },
    { label: 'until midnight', until: (now) => `${later(`${now.slice(0, 10)}T00:00`, 24 * 60)}` },
    { label: 'for a week', until: (now) => later(now, 7 * 24 * 60) },
];

/** So many minutes later on the wall clock: a date and time without a zone. */
export function later(local: string, minutes: number): string {
    return new Date(Date.parse(`${local.slice(0, 16)}:00Z`) + minutes * 60_000).toISOString().slice(0, 16);
}

/** A phone goes, and with it its place in the rules; a stage that rings nothing else goes too. */
export function withoutPhone(person: Person, phone: string): Person {
    const stages = (rule: AnsweringRule) =>
        rule.stages
            .map((stage) => ({ ...stage, phones: stage.phones.filter((one) => one !== phone) }))
            .filter((stage) => stage.phones.length > 0 || stage.teams.length > 0);
    return {
        ...person,
        phones: person.phones.filter((one) => one.id !== phone),
        rules: person.rules.map((rule) => ({ ...rule, stages: stages(rule) })),
    };
}

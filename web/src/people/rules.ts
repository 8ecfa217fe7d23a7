import type { AnsweringRule, Person } from '../api/types';

/** A rule to begin with: every phone rings, then the own mailbox; or everything goes on at once. */
export function newRule(person: Person, kind: 'ring' | 'forward'): AnsweringRule {
    const phones = person.phones.map((one) => one.id);
    const next = { nobody: person.mailbox, busy: person.mailbox, unreachable: person.mailbox };
    let id = kind === 'ring' ? 'rule' : 'forward';
    for (let n = 2; person.rules.some((one) => one.id === id); n++) id = `${kind === 'ring' ? 'rule' : 'forward'}_${n}`;
    return {
        id,
        name: kind === 'ring' ? `Rule ${person.rules.length + 1}` : 'Forward everything',
        on: true,
        when: {
            hours: null,
            states: [],
            statuses: kind === 'ring' ? [] : ['available', 'away', 'do not disturb', 'on leave', 'signed out'],
            via: kind === 'ring' ? 'any' : 'direct',
            callers: [],
        },
        stages: kind === 'ring' && phones.length > 0 ? [{ phones, after: 0, seconds: 25 }] : [],
        next,
    };
}

import type { AnsweringRule, Person, Rung, Team } from '../api/types';
import { newRule } from '../people/rules';
import { PATTERNS } from '../teams/patterns';

const LONGEST = 600;
const LONGEST_TURN = 300;

/** An end of a bar that can be dragged: where it is, and what the element becomes when it is put elsewhere. */
export interface Handle<T> {
    phone: string;
    edge: 'start' | 'end';
    label: string;
    at: number;
    min: number;
    max: number;
    put: (second: number) => T;
}

/** The rule that decides, or the one that says what happens without any: every phone that is on, for 25 s. */
function ruleInForce(person: Person, id: string | null): AnsweringRule {
    const rule = person.rules.find((one) => one.id === id);
    if (rule) return rule;
    return {
        ...newRule(person, 'ring'),
        name: 'Phones',
        stages: person.phones
            .filter((phone) => phone.on)
            .map((phone) => ({ phones: [phone.id], teams: [], after: 0, seconds: 25 })),
    };
}

/** The stages of a rule as bars: the start moves the delay and leaves the end, the end changes the length. */
export function personHandles(person: Person, ruleId: string | null): Handle<Person>[] {
    const rule = ruleInForce(person, ruleId);
    const withStages = (stages: AnsweringRule['stages']): Person => {
        const changed = { ...rule, stages };
        const known = person.rules.some((one) => one.id === rule.id);
        return {
            ...person,
            rules: known ? person.rules.map((one) => (one.id === rule.id ? changed : one)) : [...person.rules, changed],
        };
    };
    return rule.stages.flatMap((stage, i) => {
        const end = stage.after + stage.seconds;
        return stage.phones.flatMap((phone): Handle<Person>[] => {
            const label = person.phones.find((one) => one.id === phone)?.label ?? phone;
            return [
                {
                    phone: `${person.id}/${phone}`,
                    edge: 'start',
                    label: `${label} begins to ring, stage ${i + 1}`,
                    at: stage.after,
                    min: 0,
                    max: end - 1,
                    put: (after) => withStages(rule.stages.with(i, { ...stage, after, seconds: end - after })),
                },
                {
                    phone: `${person.id}/${phone}`,
                    edge: 'end',
                    label: `${label} stops ringing, stage ${i + 1}`,
                    at: end,
                    min: stage.after + 1,
                    max: stage.after + LONGEST,
                    put: (second) => withStages(rule.stages.with(i, { ...stage, seconds: second - stage.after })),
                },
            ];
        });
    });
}

/** Ends of members' bars change their alert time, or everybody's turn; starts change how fast the team widens. */
export function teamHandles(team: Team, rung: Rung[]): Handle<Team>[] {
    const inTurn = PATTERNS.find((one) => one.pattern === team.pattern)?.inTurn === true;
    const widens = team.pattern === 'widening';
    return team.members.flatMap((member, i) => {
        const bar = rung.find((one) => (one.person === member.who || one.phone === member.who) && one.until > one.from);
        if (!bar) return [];
        // What the team says is known at once; the bar, which the server drew, may be a moment old.
        const start = widens ? (member.tier - 1) * team.widenSeconds : bar.from;
        const seconds = member.seconds ?? (inTurn ? team.memberSeconds : null);
        const everybody = inTurn && member.seconds === null;
        const handles: Handle<Team>[] = [
            {
                phone: bar.phone,
                edge: 'end',
                label: everybody ? 'Each member stops ringing' : `Member ${i + 1} stops ringing`,
                at: seconds === null ? bar.until : start + seconds,
                min: start + 1,
                max: start + (everybody ? LONGEST_TURN : LONGEST),
                put: (second) =>
                    everybody
                        ? { ...team, memberSeconds: second - start }
                        : { ...team, members: team.members.with(i, { ...member, seconds: second - start }) },
            },
        ];
        if (widens && member.tier > 1)
            handles.push({
                phone: bar.phone,
                edge: 'start',
                label: `Tier ${member.tier} joins`,
                at: start,
                min: member.tier - 1,
                max: (member.tier - 1) * LONGEST_TURN,
                put: (second) => ({
                    ...team,
                    // Away from where it was: a single second moves it too.
                    widenSeconds: (second < start ? Math.floor : Math.ceil)(second / (member.tier - 1)),
                }),
            });
        return handles;
    });
}

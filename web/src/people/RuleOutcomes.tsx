import { Checkbox } from 'antd';
import { useState } from 'react';
import type { AnsweringRule, Person } from '../api/types';
import { TAKING_CALLS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import type { RuleProps } from './rules';

const OUTCOMES = [
    { key: 'nobody', label: 'Nobody answers' },
    { key: 'busy', label: 'All are busy' },
    { key: 'unreachable', label: 'None can be reached' },
] as const;
/** A rule without a stage rings nobody: there is one way on. */
const PASSED_ON = [{ key: 'nobody', label: 'Calls go to' }] as const;
type Outcome = (typeof OUTCOMES)[number]['key'];

const END = 'end the call';
const OUTSIDE = 'a number outside';

/** What comes then, separately for each way in which the ringing can fail. */
export function RuleOutcomes({ rule, person, disabled, onChange }: RuleProps) {
    const same = (outcome: Outcome) =>
        rule.next[outcome] === rule.next.nobody && rule.greetings[outcome] === rule.greetings.nobody;
    const set = (outcome: Outcome, to: string | null, greeting: string | null) =>
        onChange({
            next: { ...rule.next, [outcome]: to },
            greetings: { ...rule.greetings, [outcome]: greeting },
        });
    const passesOn = rule.stages.length === 0;
    return (
        <>
            <div className="fields then">
                {(passesOn ? PASSED_ON : OUTCOMES).map((outcome) => (
                    <OutcomeField
                        key={outcome.key}
                        label={outcome.label}
                        rule={rule}
                        person={person}
                        to={rule.next[outcome.key]}
                        greeting={rule.greetings[outcome.key]}
                        disabled={disabled}
                        onChange={(to, greeting) => set(outcome.key, to, greeting)}
                    />
                ))}
            </div>
            {!passesOn && (
                <Checkbox
                    checked={same('busy') && same('unreachable')}
                    disabled={disabled}
                    onChange={(event) => {
                        const [to, greeting] = [rule.next.nobody, rule.greetings.nobody];
                        if (event.target.checked)
                            onChange({
                                next: { nobody: to, busy: to, unreachable: to },
                                greetings: { nobody: greeting, busy: greeting, unreachable: greeting },
                            });
                    }}
                >
                    the same for all three
                </Checkbox>
            )}
        </>
    );
}

function OutcomeField({
    label,
    rule,
    person,
    to,
    greeting,
    disabled,
    onChange,
}: {
    label: string;
    rule: AnsweringRule;
    person: Person;
    to: string | null;
    greeting: string | null;
    disabled: boolean;
    onChange: (to: string | null, greeting: string | null) => void;
}) {
    const plan = usePlan();
    const [wantsNumber, setWantsNumber] = useState(false);
    const outside = wantsNumber || to?.startsWith('+') === true;
    return (
        <div className="field">
            <span className="field-name">{label}</span>
            <ElementPicker
                label={`${label}, by ${rule.name}`}
                kinds={TAKING_CALLS}
                clearable
                placeholder="back to where it came from"
                exclude={[person.id]}
                extra={[
                    { value: OUTSIDE, label: 'A number outside' },
                    { value: END, label: 'End the call' },
                ]}
                value={outside ? OUTSIDE : to}
                disabled={disabled}
                onChange={(next) => {
                    setWantsNumber(next === OUTSIDE);
                    if (next !== OUTSIDE) onChange(next, plan?.get('mailbox', next) ? greeting : null);
                }}
            />
            {outside && (
                <PhoneNumberField
                    label={`Number, by ${rule.name}`}
                    value={to?.startsWith('+') ? to : ''}
                    country={plan?.get('site', person.site)?.country ?? 'GB'}
                    site={person.site}
                    disabled={disabled}
                    onSave={(number) => onChange(number, null)}
                />
            )}
            {plan?.get('mailbox', to) && (
                <ElementPicker
                    label={`Greeting when ${label.toLowerCase()}, by ${rule.name}`}
                    kinds={['prompt']}
                    clearable
                    placeholder="with its own greeting"
                    value={greeting}
                    disabled={disabled}
                    onChange={(next) => onChange(to, next)}
                />
            )}
        </div>
    );
}

import { Button, Dropdown, Switch } from 'antd';
import { memo } from 'react';
import type { AnsweringRule, Person } from '../api/types';
import { nowIn } from '../moment/now';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { MoveButton, RemoveButton } from '../ui/RowButtons';
import { TextField } from '../ui/TextField';
import { RuleOutcomes } from './RuleOutcomes';
import { RuleStages } from './RuleStages';
import { RuleWhen } from './RuleWhen';
import { ENDS, newRule } from './rules';

/** A person's answering rules, in order: the first that holds decides which phones ring, and what then. */
export const AnsweringRules = memo(function AnsweringRules({
    value,
    change,
    error,
    disabled,
    holds,
}: EditorProps<Person> & {
    /** The rule that decided in the trial call. */
    holds: string | null;
}) {
    const zone = usePlan()?.get('site', value.site)?.zone ?? 'UTC';
    const rules = value.rules;
    const set = (next: AnsweringRule[]) => change({ ...value, rules: next });
    const first = (made: 'forward' | 'do not disturb', label: string) => (
        <Dropdown
            trigger={['click']}
            menu={{
                items: ENDS.map((end, i) => ({ key: i, label: end.label })),
                onClick: ({ key }) =>
                    set([newRule(value, made, ENDS[Number(key)]?.until(nowIn(zone)) ?? null), ...rules]),
            }}
        >
            <Button size="small">{label} …</Button>
        </Dropdown>
    );
    return (
        <>
            <h2>Answering rules</h2>
            <p className="quiet">
                {rules.length === 0
                    ? `None: every phone that is on rings for 25 s, then ${value.mailbox ? 'the own mailbox takes the call' : 'a direct call ends: there is no own mailbox'}.`
                    : 'The first that holds decides which phones ring. What comes then counts for direct calls, and for steps that hand the call over for good.'}
            </p>
            <ol className="rules">
                {rules.map((rule, i) => (
                    <li key={rule.id} className={rule.on ? 'rule-card' : 'rule-card off'}>
                        <RuleCard
                            rule={rule}
                            holds={holds === rule.id}
                            person={value}
                            disabled={disabled}
                            onChange={(part) => set(rules.with(i, { ...rule, ...part }))}
                            onUp={i > 0 ? () => set(rules.toSpliced(i, 1).toSpliced(i - 1, 0, rule)) : undefined}
                            onRemove={() => set(rules.toSpliced(i, 1))}
                        />
                        <FindingsAt pointer={`/rules/${i}`} />
                        {error(`/rules/${i}`) && (
                            <p className="alarm" role="alert">
                                {error(`/rules/${i}`)}
                            </p>
                        )}
                    </li>
                ))}
            </ol>
            {!disabled && (
                <div className="line-row wrap">
                    <Button size="small" onClick={() => set([...rules, newRule(value, 'ring')])}>
                        Add a rule
                    </Button>
                    {first('forward', 'Forward everything')}
                    {first('do not disturb', 'Do not disturb')}
                </div>
            )}
        </>
    );
});

function RuleCard({
    rule,
    holds,
    person,
    disabled,
    onChange,
    onUp,
    onRemove,
}: {
    rule: AnsweringRule;
    holds: boolean;
    person: Person;
    disabled: boolean;
    onChange: (part: Partial<AnsweringRule>) => void;
    onUp: (() => void) | undefined;
    onRemove: () => void;
}) {
    const parts = { rule, person, disabled, onChange };
    return (
        <>
            <div className="line-row wrap">
                <Switch
                    size="small"
                    aria-label={`The rule ${rule.name} is on`}
                    checked={rule.on}
                    disabled={disabled}
                    onChange={(on) => onChange({ on })}
                />
                <TextField
                    label="Name of the rule"
                    value={rule.name}
                    disabled={disabled}
                    onSave={(name) => onChange({ name })}
                />
                {holds && <span className="state open">holds in this call</span>}
                <span className="grow" />
                {!disabled && (
                    <>
                        <MoveButton what={rule.name} way="up" onClick={onUp} />
                        <RemoveButton label={`Remove ${rule.name}`} onClick={onRemove} />
                    </>
                )}
            </div>
            <RuleWhen {...parts} />
            <RuleStages {...parts} />
            <RuleOutcomes {...parts} />
        </>
    );
}

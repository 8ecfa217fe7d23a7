import { Button, Checkbox, Input, Select, Switch } from 'antd';
import type { AnsweringRule, Person } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import type { EditorProps } from '../ui/ElementScreen';
import { NumberInput } from '../ui/NumberInput';
import { TextField } from '../ui/TextField';
import { newRule } from './rules';
import { STATUSES } from './useStatuses';

const OUTCOMES = [
    { key: 'nobody', label: 'Nobody answers' },
    { key: 'busy', label: 'All are busy' },
    { key: 'unreachable', label: 'None can be reached' },
] as const;

/** A person's answering rules, in order: the first that holds decides which phones ring, and what then. */
export function AnsweringRules({
    value,
    change,
    error,
    disabled,
    finding,
    holds,
}: EditorProps<Person> & {
    finding: (pointer: string) => string | undefined;
    /** The rule that decided in the trial call. */
    holds: string | undefined;
}) {
    const rules = value.rules;
    const set = (next: AnsweringRule[]) => change({ ...value, rules: next });
    return (
        <>
            <h2>Answering rules</h2>
            <p className="quiet">
                {rules.length === 0
                    ? 'None: every phone that is on rings for 25 s, then the own mailbox takes the call.'
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
                            onChange={(next) => set(rules.with(i, next))}
                            onUp={i > 0 ? () => set(rules.toSpliced(i, 1).toSpliced(i - 1, 0, rule)) : undefined}
                            onRemove={() => set(rules.toSpliced(i, 1))}
                        />
                        {finding(`/rules/${i}`) && <p className="notice">{finding(`/rules/${i}`)}</p>}
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
                    <Button size="small" onClick={() => set([newRule(value, 'forward'), ...rules])}>
                        Forward everything
                    </Button>
                </div>
            )}
        </>
    );
}

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
    onChange: (rule: AnsweringRule) => void;
    onUp: (() => void) | undefined;
    onRemove: () => void;
}) {
    const plan = usePlan();
    const when = rule.when;
    const hours = plan?.get('hours', when.hours);
    const setWhen = (part: Partial<AnsweringRule['when']>) => onChange({ ...rule, when: { ...when, ...part } });
    return (
        <>
            <div className="line-row wrap">
                <Switch
                    size="small"
                    aria-label={`The rule ${rule.name} is on`}
                    checked={rule.on}
                    disabled={disabled}
                    onChange={(on) => onChange({ ...rule, on })}
                />
                <TextField
                    label="Name of the rule"
                    value={rule.name}
                    disabled={disabled}
                    onSave={(name) => onChange({ ...rule, name })}
                />
                {holds && <span className="state open">holds in this call</span>}
                <span className="grow" />
                {!disabled && (
                    <>
                        <Button
                            size="small"
                            type="text"
                            aria-label={`Move ${rule.name} up`}
                            disabled={!onUp}
                            onClick={onUp}
                        >
                            ↑
                        </Button>
                        <Button size="small" type="text" aria-label={`Remove ${rule.name}`} onClick={onRemove}>
                            ✕
                        </Button>
                    </>
                )}
            </div>
            <div className="line-row wrap">
                <span>When</span>
                <ElementPicker
                    label={`Hours of ${rule.name}`}
                    kinds={['hours']}
                    clearable
                    placeholder="at any time"
                    value={when.hours}
                    disabled={disabled}
                    onChange={(id) =>
                        setWhen({
                            hours: id,
                            states: (plan?.get('hours', id)?.states ?? [])
                                .filter((one) => one.open)
                                .map((one) => one.key),
                        })
                    }
                />
                {hours && (
                    <Select
                        aria-label={`States of ${rule.name}`}
                        mode="multiple"
                        size="small"
                        style={{ minWidth: 150 }}
                        value={when.states}
                        disabled={disabled}
                        options={hours.states.map((one) => ({ value: one.key, label: one.name }))}
                        onChange={(states) => setWhen({ states })}
                    />
                )}
                <Select
                    aria-label={`Statuses of ${rule.name}`}
                    mode="multiple"
                    size="small"
                    style={{ minWidth: 150 }}
                    placeholder="while available"
                    value={when.statuses}
                    disabled={disabled}
                    options={STATUSES}
                    onChange={(statuses) => setWhen({ statuses })}
                />
                <Select
                    aria-label={`How calls of ${rule.name} come`}
                    size="small"
                    style={{ width: 160 }}
                    value={when.via}
                    disabled={disabled}
                    options={[
                        { value: 'any', label: 'however they come' },
                        { value: 'direct', label: 'direct calls only' },
                        { value: 'team', label: 'through a team only' },
                    ]}
                    onChange={(via) => setWhen({ via })}
                />
                <Input
                    key={when.callers.join()}
                    aria-label={`Callers of ${rule.name}`}
                    size="small"
                    style={{ width: 170 }}
                    placeholder="from everybody"
                    defaultValue={when.callers.join(', ')}
                    disabled={disabled}
                    onBlur={(event) => {
                        const callers = event.target.value.split(/[,;\s]+/).filter(Boolean);
                        if (callers.join() !== when.callers.join()) setWhen({ callers });
                    }}
                />
            </div>
            {rule.stages.map((stage, i) => {
                const setStage = (part: Partial<typeof stage>) =>
                    onChange({ ...rule, stages: rule.stages.with(i, { ...stage, ...part }) });
                return (
                    // biome-ignore lint/suspicious/noArrayIndexKey: stages have no identity but their place
                    <div className="line-row wrap" key={i}>
                        <span>ring</span>
                        <Select
                            aria-label={`Phones of stage ${i + 1} of ${rule.name}`}
                            mode="multiple"
                            size="small"
                            style={{ minWidth: 200 }}
                            value={stage.phones}
                            disabled={disabled}
                            options={person.phones.map((one) => ({ value: one.id, label: one.label }))}
                            onChange={(phones) => phones.length > 0 && setStage({ phones })}
                        />
                        <span>from</span>
                        <NumberInput
                            label={`Start of stage ${i + 1} of ${rule.name}`}
                            unit="s"
                            min={0}
                            max={600}
                            value={stage.after}
                            disabled={disabled}
                            onSave={(after) => setStage({ after })}
                        />
                        <span>for</span>
                        <NumberInput
                            label={`Length of stage ${i + 1} of ${rule.name}`}
                            unit="s"
                            min={1}
                            max={600}
                            value={stage.seconds}
                            disabled={disabled}
                            onSave={(seconds) => setStage({ seconds })}
                        />
                        {!disabled && (
                            <Button
                                size="small"
                                type="text"
                                aria-label={`Remove stage ${i + 1} of ${rule.name}`}
                                onClick={() => onChange({ ...rule, stages: rule.stages.toSpliced(i, 1) })}
                            >
                                ✕
                            </Button>
                        )}
                    </div>
                );
            })}
            {rule.stages.length === 0 && <p className="quiet">No phone rings: calls go on at once.</p>}
            {!disabled && person.phones.length > 0 && (
                <Button
                    size="small"
                    type="text"
                    onClick={() => {
                        const end = Math.max(0, ...rule.stages.map((one) => one.after + one.seconds));
                        const phone = person.phones[Math.min(rule.stages.length, person.phones.length - 1)];
                        if (phone)
                            onChange({
                                ...rule,
                                stages: [...rule.stages, { phones: [phone.id], after: end, seconds: 20 }],
                            });
                    }}
                >
                    + stage
                </Button>
            )}
            <div className="fields then">
                {OUTCOMES.map((outcome) => (
                    <div key={outcome.key} className="field">
                        <span className="field-name">{outcome.label}</span>
                        <ElementPicker
                            label={`${outcome.label}, by ${rule.name}`}
                            kinds={['mailbox', 'person', 'team', 'journey']}
                            clearable
                            placeholder="back to where it came from"
                            exclude={[person.id]}
                            value={rule.next[outcome.key]}
                            disabled={disabled || (rule.stages.length === 0 && outcome.key !== 'nobody')}
                            onChange={(id) => onChange({ ...rule, next: { ...rule.next, [outcome.key]: id } })}
                        />
                    </div>
                ))}
            </div>
            <Checkbox
                checked={rule.next.busy === rule.next.nobody && rule.next.unreachable === rule.next.nobody}
                disabled={disabled}
                onChange={(event) =>
                    event.target.checked &&
                    onChange({
                        ...rule,
                        next: { nobody: rule.next.nobody, busy: rule.next.nobody, unreachable: rule.next.nobody },
                    })
                }
            >
                the same for all three
            </Checkbox>
        </>
    );
}

import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { LIMITS } from '../api/limits';
import type { Expectation } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { PlayPrompt } from '../sound/PlayButton';
import { ElementPicker } from '../ui/ElementPicker';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';

type Promised = Expectation['promise'];
type That = Promised['that'];
interface PartProps<P> {
    promise: P;
    disabled: boolean;
    error: (pointer: string) => string | undefined;
    onChange: (promise: Promised) => void;
}
type Kinds = {
    [T in That]: {
        label: string;
        /** A first one of the kind; null where a prompt must be there first. */
        blank: (prompt: string | undefined) => Promised | null;
        Part: (props: PartProps<Extract<Promised, { that: T }>>) => ReactNode;
    };
};

/** Every kind of promise: what it is called, how it begins, and its fields. */
const PROMISES: Kinds = {
    rings: {
        label: 'ring',
        blank: () => ({ that: 'rings', who: null, within: 30 }),
        Part: ({ promise, disabled, error, onChange }) => (
            <>
                <Who
                    {...{ disabled, error }}
                    value={promise.who}
                    none="somebody"
                    onChange={(who) => onChange({ ...promise, who })}
                />
                <Field label="Within" error={error('/promise/within')}>
                    {(a11y) => (
                        <span className="line-row tight">
                            <Checkbox
                                checked={promise.within !== null}
                                disabled={disabled}
                                onChange={(event) => onChange({ ...promise, within: event.target.checked ? 30 : null })}
                            >
                                in time
                            </Checkbox>
                            {promise.within !== null && (
                                <NumberInput
                                    id={a11y.id}
                                    label="Within"
                                    unit="seconds"
                                    min={LIMITS.promiseRings.within.min}
                                    max={LIMITS.promiseRings.within.max}
                                    value={promise.within}
                                    disabled={disabled}
                                    onSave={(within) => onChange({ ...promise, within })}
                                />
                            )}
                        </span>
                    )}
                </Field>
            </>
        ),
    },
    'never rings': {
        label: 'never ring',
        blank: () => ({ that: 'never rings', who: null }),
        Part: ({ promise, disabled, error, onChange }) => (
            <Who
                {...{ disabled, error }}
                value={promise.who}
                none="anybody"
                onChange={(who) => onChange({ ...promise, who })}
            />
        ),
    },
    hears: {
        label: 'hear',
        blank: (prompt) => (prompt ? { that: 'hears', prompt } : null),
        Part: (props) => <Words {...props} />,
    },
    'never hears': {
        label: 'never hear',
        blank: (prompt) => (prompt ? { that: 'never hears', prompt } : null),
        Part: (props) => <Words {...props} />,
    },
    'ends with': {
        label: 'never end without',
        blank: () => ({ that: 'ends with', outcomes: ['person', 'message'] }),
        Part: ({ promise, disabled, error, onChange }) => (
            <Field label="One of" error={error('/promise/outcomes')}>
                {(a11y) => (
                    <Checkbox.Group
                        className="stacked"
                        aria-describedby={a11y['aria-describedby']}
                        value={promise.outcomes}
                        disabled={disabled}
                        options={[
                            { value: 'person', label: 'somebody who answers' },
                            { value: 'message', label: 'a message' },
                            { value: 'outside', label: 'a number outside' },
                            { value: 'announcement', label: 'an announcement' },
                        ]}
                        onChange={(outcomes: typeof promise.outcomes) =>
                            outcomes.length > 0 && onChange({ ...promise, outcomes })
                        }
                    />
                )}
            </Field>
        ),
    },
    'is over within': {
        label: 'keep nobody longer than',
        blank: () => ({ that: 'is over within', seconds: 300 }),
        Part: ({ promise, disabled, error, onChange }) => (
            <Field label="At most" error={error('/promise/seconds')}>
                {(a11y) => (
                    <NumberInput
                        id={a11y.id}
                        label="At most"
                        unit="seconds, where nobody answers"
                        min={LIMITS.promiseIsOverWithin.seconds.min}
                        max={LIMITS.promiseIsOverWithin.seconds.max}
                        value={promise.seconds}
                        disabled={disabled}
                        onSave={(seconds) => onChange({ ...promise, seconds })}
                    />
                )}
            </Field>
        ),
    },
};

/** What is promised. */
export function PromiseFields({ value, change, error, disabled }: EditorProps<Expectation>) {
    const prompt = usePlan()?.all('prompt')[0]?.id;
    const { promise } = value;
    const put = (next: Promised | null) => next && change({ ...value, promise: next });
    const Part = PROMISES[promise.that].Part as (props: PartProps<Promised>) => ReactNode;
    return (
        <fieldset>
            <legend>What</legend>
            <Field label="They" error={error('/promise/that')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="They"
                        value={promise.that}
                        disabled={disabled}
                        options={(Object.keys(PROMISES) as That[]).map((that) => ({
                            value: that,
                            label: PROMISES[that].label,
                            disabled: PROMISES[that].blank(prompt) === null,
                        }))}
                        onChange={(that: That) => put(PROMISES[that].blank(prompt))}
                    />
                )}
            </Field>
            <Part promise={promise} disabled={disabled} error={error} onChange={put} />
        </fieldset>
    );
}

function Who({
    value,
    none,
    disabled,
    error,
    onChange,
}: {
    value: string | null;
    none: string;
    disabled: boolean;
    error: (pointer: string) => string | undefined;
    onChange: (who: string | null) => void;
}) {
    return (
        <Field label="Whom" error={error('/promise/who')}>
            {(a11y) => (
                <ElementPicker
                    id={a11y.id}
                    label="Whom"
                    kinds={['team', 'queue', 'person']}
                    clearable
                    placeholder={none}
                    value={value}
                    disabled={disabled}
                    onChange={onChange}
                />
            )}
        </Field>
    );
}

function Words({
    promise,
    disabled,
    error,
    onChange,
}: PartProps<Extract<Promised, { that: 'hears' | 'never hears' }>>) {
    return (
        <Field label="Prompt" error={error('/promise/prompt')}>
            {(a11y) => (
                <span className="line-row tight">
                    <ElementPicker
                        id={a11y.id}
                        label="Prompt"
                        kinds={['prompt']}
                        value={promise.prompt}
                        disabled={disabled}
                        onChange={(prompt) => prompt && onChange({ ...promise, prompt })}
                    />
                    <PlayPrompt id={promise.prompt} />
                </span>
            )}
        </Field>
    );
}

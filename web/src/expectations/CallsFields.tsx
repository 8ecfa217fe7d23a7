import { Select } from 'antd';
import { useState } from 'react';
import type { Expectation, Kind } from '../api/types';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { LineInput } from '../ui/LineInput';
import { BY_LABEL } from '../ui/searched';

const PRESSES = [
    { value: 'any', label: 'whatever callers press' },
    { value: 'none', label: 'where nothing is pressed' },
    { value: 'these', label: 'where these keys are pressed' },
];

/** What may be named, by kind, and what it stands for. */
type Choices = Partial<Record<Kind, string>>;

const TO: Choices = { number: 'Numbers', person: 'People, by their own number' };
const FROM: Choices = { callers: 'Lists of callers' };

/** Of which calls something is promised. */
export function CallsFields({ value, change, error, disabled }: EditorProps<Expectation>) {
    const { calls } = value;
    const set = (part: Partial<Expectation['calls']>) => change({ ...value, calls: { ...calls, ...part } });
    const press = calls.keys === null ? 'any' : calls.keys.length === 0 ? 'none' : 'these';
    return (
        <fieldset>
            <legend>Calls</legend>
            <Many
                label="To"
                kinds={TO}
                none="any number"
                value={calls.to}
                error={error('/calls/to')}
                disabled={disabled}
                onChange={(to) => set({ to })}
            />
            <Many
                label="From"
                kinds={FROM}
                none="anybody"
                value={calls.from}
                error={error('/calls/from')}
                disabled={disabled}
                onChange={(from) => set({ from })}
            />
            <Field label="Keys" error={error('/calls/keys')}>
                {(a11y) => (
                    <span className="line-row tight">
                        <Select
                            {...a11y}
                            aria-label="What callers press"
                            value={press}
                            disabled={disabled}
                            options={PRESSES}
                            onChange={(next) => set({ keys: next === 'any' ? null : next === 'none' ? [] : ['1'] })}
                        />
                        {press === 'these' && (
                            <LineInput
                                label="Keys pressed at one menu after the other"
                                width={90}
                                size="middle"
                                maxLength={10}
                                value={calls.keys?.join('') ?? ''}
                                disabled={disabled}
                                read={(typed) => typed.replaceAll(/[^0-9*#]/g, '')}
                                onSave={(keys) => set({ keys: [...keys] as typeof calls.keys })}
                            />
                        )}
                    </span>
                )}
            </Field>
        </fieldset>
    );
}

/** Some elements, or all where none is named. */
function Many({
    label,
    kinds,
    none,
    value,
    error,
    disabled,
    onChange,
}: {
    label: string;
    kinds: Choices;
    none: string;
    value: string[];
    error: string | undefined;
    disabled: boolean;
    onChange: (ids: string[]) => void;
}) {
    const plan = usePlan();
    const [open, setOpen] = useState(false);
    // Closed, it needs the names of what is chosen only.
    const groups = Object.entries(kinds).map(([kind, title]) => ({
        title,
        label: title,
        options: (open
            ? (plan?.all(kind as Kind) ?? [])
            : value.flatMap((id) => plan?.get(kind as Kind, id) ?? [])
        ).map((one) => ({ value: one.id, label: one.name })),
    }));
    return (
        <Field label={label} error={error}>
            {(a11y) => (
                <Select
                    {...a11y}
                    mode="multiple"
                    aria-label={label}
                    placeholder={none}
                    showSearch={BY_LABEL}
                    onOpenChange={setOpen}
                    value={value}
                    disabled={disabled}
                    options={groups.length > 1 ? groups : groups[0]?.options}
                    onChange={onChange}
                />
            )}
        </Field>
    );
}

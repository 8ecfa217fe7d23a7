import { Button, Select } from 'antd';
import type { Expectation } from '../api/types';
import { nextWindow, WindowFields } from '../hours/WindowFields';
import { usePlan } from '../plan/usePlan';
import { ElementField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';

/** When something is promised: all that is said must be so. */
export function TimesFields({ value, change, error, disabled }: EditorProps<Expectation>) {
    const plan = usePlan();
    const { when } = value;
    const hours = plan?.get('hours', when.hours);
    const set = (part: Partial<Expectation['when']>) => change({ ...value, when: { ...when, ...part } });
    return (
        <fieldset>
            <legend>When</legend>
            <ElementField
                label="While hours are"
                kind="hours"
                none="at any time"
                value={when.hours}
                error={error('/when/hours')}
                disabled={disabled}
                onChange={(id) => set({ hours: id, states: [] })}
            />
            {hours && (
                <Field label="In the states" error={error('/when/states')}>
                    {(a11y) => (
                        <Select
                            {...a11y}
                            mode="multiple"
                            aria-label="In the states"
                            placeholder="open"
                            value={when.states}
                            disabled={disabled}
                            options={hours.states.map((one) => ({ value: one.key, label: one.name }))}
                            onChange={(states) => set({ states })}
                        />
                    )}
                </Field>
            )}
            <ElementField
                label="On holidays of"
                kind="calendar"
                none="on any day"
                value={when.calendar}
                error={error('/when/calendar')}
                disabled={disabled}
                onChange={(calendar) => set({ calendar })}
            />
            {when.windows.map((window, i) => (
                <WindowFields
                    // biome-ignore lint/suspicious/noArrayIndexKey: windows have no identity but their place
                    key={i}
                    name={`time ${i + 1}`}
                    window={window}
                    site="the number’s site"
                    disabled={disabled}
                    onChange={(part) => set({ windows: when.windows.with(i, { ...window, ...part }) })}
                    onRemove={() => set({ windows: when.windows.toSpliced(i, 1) })}
                />
            ))}
            {!disabled && (
                <Button
                    size="small"
                    type="text"
                    onClick={() => set({ windows: [...when.windows, nextWindow(when.windows)] })}
                >
                    + days and times
                </Button>
            )}
        </fieldset>
    );
}

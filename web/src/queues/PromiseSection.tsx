import { Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { Line } from './Line';

/** What is promised to callers, and who is told when somebody waits for too long. */
export function PromiseSection({ value, change, error, disabled }: EditorProps<Queue>) {
    const { promise } = value;
    const set = (part: Partial<Queue['promise']>) => change({ ...value, promise: { ...promise, ...part } });
    return (
        <>
            <h2>What is promised</h2>
            <Line error={error('/promise')}>
                <NumberInput
                    label="Percent of calls"
                    unit="% of calls are answered within"
                    {...LIMITS.servicePromise.percent}
                    value={promise.percent}
                    disabled={disabled}
                    onSave={(percent) => set({ percent })}
                />
                <NumberInput
                    label="Seconds within which they are answered"
                    unit="s, not counting those given up within"
                    {...LIMITS.servicePromise.seconds}
                    value={promise.seconds}
                    disabled={disabled}
                    onSave={(seconds) => set({ seconds })}
                />
                <NumberInput
                    label="Seconds of calls too short to count"
                    unit="s"
                    {...LIMITS.servicePromise.shortSeconds}
                    value={promise.shortSeconds}
                    disabled={disabled}
                    onSave={(shortSeconds) => set({ shortSeconds })}
                />
            </Line>
            <Line error={error('/promise/noticeSeconds')}>
                <span>A notice goes out when somebody has waited for</span>
                <OptionalNumberInput
                    label="Seconds of waiting after which a notice is sent"
                    open="no notice"
                    unit="s"
                    {...LIMITS.servicePromise.noticeSeconds}
                    value={promise.noticeSeconds}
                    disabled={disabled}
                    onSave={(noticeSeconds) => set({ noticeSeconds })}
                />
            </Line>
            {promise.noticeSeconds !== null && (
                <div className="fields">
                    <Field
                        label="The notice goes to"
                        hint="Type an e-mail address and press Enter"
                        error={error('/promise/notify')}
                    >
                        {(a11y) => (
                            <Select
                                {...a11y}
                                aria-label="The notice goes to"
                                mode="tags"
                                open={false}
                                suffixIcon={null}
                                tokenSeparators={[',', ' ', ';']}
                                value={promise.notify}
                                disabled={disabled}
                                onChange={(notify) => set({ notify })}
                            />
                        )}
                    </Field>
                </div>
            )}
        </>
    );
}

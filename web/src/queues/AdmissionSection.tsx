import { Checkbox } from 'antd';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import type { EditorProps } from '../ui/ElementScreen';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { Line } from './Line';

/** Whom the queue lets in. */
export function AdmissionSection({ value, change, error, disabled }: EditorProps<Queue>) {
    const { admission } = value;
    const set = (part: Partial<Queue['admission']>) => change({ ...value, admission: { ...admission, ...part } });
    return (
        <>
            <h2>Who is let in</h2>
            <Line error={error('/admission')}>
                <Checkbox
                    checked={admission.needsAgent}
                    disabled={disabled}
                    onChange={(event) => set({ needsAgent: event.target.checked })}
                >
                    only while somebody is signed in
                </Checkbox>
                <span>while fewer wait than</span>
                <OptionalNumberInput
                    label="Callers who may wait at once"
                    open="any number"
                    unit="callers"
                    {...LIMITS.queueAdmission.mostWaiting}
                    value={admission.mostWaiting}
                    disabled={disabled}
                    onSave={(mostWaiting) => set({ mostWaiting })}
                />
            </Line>
            <Line>
                <span>while no longer a wait is expected than</span>
                <OptionalNumberInput
                    label="The longest expected wait"
                    open="any"
                    unit="s"
                    {...LIMITS.queueAdmission.mostExpectedSeconds}
                    value={admission.mostExpectedSeconds}
                    disabled={disabled}
                    onSave={(mostExpectedSeconds) => set({ mostExpectedSeconds })}
                />
                <NumberInput
                    label="Seconds that a call takes"
                    unit="s a call takes on average"
                    {...LIMITS.queueAdmission.handlingSeconds}
                    value={admission.handlingSeconds}
                    disabled={disabled}
                    onSave={(handlingSeconds) => set({ handlingSeconds })}
                />
            </Line>
            <p className="quiet">
                Expected wait: (callers ahead + 1) × {admission.handlingSeconds} s ÷ agents signed in.
            </p>
        </>
    );
}

import { Checkbox } from 'antd';
import { LIMITS } from '../api/limits';
import type { Mailbox } from '../api/types';
import { Line } from '../queues/Line';
import type { EditorProps } from '../ui/ElementScreen';
import { NumberInput } from '../ui/NumberInput';

export function Messages({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const flag = (field: 'takesMessages' | 'beep' | 'transcript', label: string) => (
        <Checkbox
            checked={value[field]}
            disabled={disabled}
            onChange={(event) => change({ ...value, [field]: event.target.checked })}
        >
            {label}
        </Checkbox>
    );
    return (
        <>
            <Line>{flag('takesMessages', 'callers leave a message; otherwise this is only an announcement')}</Line>
            {value.takesMessages && (
                <Line error={error('/longestSeconds')}>
                    {flag('beep', 'a beep is heard first')}
                    {flag('transcript', 'it is written down')}
                    <span>and lasts at most</span>
                    <NumberInput
                        label="Longest message"
                        unit="s"
                        {...LIMITS.mailbox.longestSeconds}
                        value={value.longestSeconds}
                        disabled={disabled}
                        onSave={(longestSeconds) => change({ ...value, longestSeconds })}
                    />
                </Line>
            )}
        </>
    );
}

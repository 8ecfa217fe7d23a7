import { Select } from 'antd';
import type { Mailbox } from '../api/types';
import { TAKING_CALLS } from '../plan/kinds';
import { KEY_CHOICES } from '../queues/keyChoices';
import { Line } from '../queues/Line';
import { ElementPicker } from '../ui/ElementPicker';
import type { EditorProps } from '../ui/ElementScreen';
import { LineInput } from '../ui/LineInput';

const END = 'end the call';

export function MailboxKeys({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const { keys } = value;
    const set = (part: Partial<Mailbox['keys']>) => change({ ...value, keys: { ...keys, ...part } });
    return (
        <>
            {value.takesMessages && (
                <Line error={error('/keys/skip')}>
                    <Select
                        aria-label="Key that cuts the greeting short"
                        style={{ width: 90 }}
                        value={keys.skip ?? ''}
                        disabled={disabled}
                        options={KEY_CHOICES}
                        onChange={(key) => set({ skip: key || null })}
                    />
                    <span>goes to the message at once</span>
                </Line>
            )}
            <Line error={error('/keys/leave') ?? error('/keys/leaveTo')}>
                <Select
                    aria-label="Key that leaves the mailbox"
                    style={{ width: 90 }}
                    value={keys.leave ?? ''}
                    disabled={disabled}
                    options={KEY_CHOICES}
                    onChange={(key) => set({ leave: key || null })}
                />
                <span>leaves the mailbox for</span>
                <ElementPicker
                    label="Who takes calls that leave the mailbox"
                    kinds={TAKING_CALLS}
                    clearable
                    placeholder="nobody yet"
                    extra={[{ value: END, label: 'End the call' }]}
                    extraTitle="Nobody"
                    value={keys.leaveTo}
                    disabled={disabled}
                    onChange={(leaveTo) => set({ leaveTo })}
                />
            </Line>
            <Line error={error('/keys/listen')}>
                <LineInput
                    label="Keys with which owners listen from outside"
                    width={90}
                    size="middle"
                    placeholder="none"
                    maxLength={4}
                    value={keys.listen}
                    disabled={disabled}
                    read={(typed) => typed.trim()}
                    onSave={(listen) => set({ listen })}
                />
                <span>asks owners who call from outside for the PIN, and plays their messages</span>
            </Line>
        </>
    );
}

import { Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { ElementField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';
import { BY_LABEL } from '../ui/searched';
import { KEY_CHOICES } from './keyChoices';
import { Line } from './Line';

/** What callers go through while they wait. */
export function WaitingSection({ value, change, error, disabled }: EditorProps<Queue>) {
    const { waiting } = value;
    const set = (part: Partial<Queue['waiting']>) => change({ ...value, waiting: { ...waiting, ...part } });
    const { music, recording } = value;
    const plan = usePlan();
    return (
        <>
            <h2>What callers go through</h2>
            <div className="fields">
                <ElementField
                    label="Introduction"
                    hint="Heard to its end before anybody is asked"
                    error={error('/waiting/introduction')}
                    kind="prompt"
                    none="none"
                    value={waiting.introduction}
                    disabled={disabled}
                    onChange={(introduction) => set({ introduction })}
                />
                <Field label="Music" hint="In this order, again and again" error={error('/music/pieces')}>
                    {(a11y) => (
                        <Select
                            {...a11y}
                            aria-label="Music"
                            mode="multiple"
                            showSearch={BY_LABEL}
                            placeholder="a ringing tone"
                            value={music.pieces}
                            disabled={disabled}
                            options={(plan?.all('prompt') ?? []).map(({ id, name }) => ({ value: id, label: name }))}
                            onChange={(pieces) => change({ ...value, music: { ...music, pieces } })}
                        />
                    )}
                </Field>
            </div>
            {music.pieces.length > 1 && (
                <Line>
                    <Checkbox
                        checked={music.shuffled}
                        disabled={disabled}
                        onChange={(event) => change({ ...value, music: { ...music, shuffled: event.target.checked } })}
                    >
                        pieces in another order each time
                    </Checkbox>
                </Line>
            )}
            <Line error={error('/recording')}>
                <Checkbox
                    checked={recording.on}
                    disabled={disabled}
                    onChange={(event) => change({ ...value, recording: { ...recording, on: event.target.checked } })}
                >
                    talks with agents are recorded
                </Checkbox>
            </Line>
            {recording.on && (
                <div className="fields">
                    <ElementField
                        label="What callers are told of it"
                        hint="Heard to its end before anything else"
                        error={error('/recording/notice')}
                        kind="prompt"
                        none="nothing"
                        value={recording.notice}
                        disabled={disabled}
                        onChange={(notice) => change({ ...value, recording: { ...recording, notice } })}
                    />
                </div>
            )}
            <Line error={error('/waiting/longestSeconds')}>
                <span>Nobody waits for longer than</span>
                <NumberInput
                    label="The longest wait"
                    unit="s; then the call goes on"
                    {...LIMITS.queueWaiting.longestSeconds}
                    value={waiting.longestSeconds}
                    disabled={disabled}
                    onSave={(longestSeconds) => set({ longestSeconds })}
                />
            </Line>
            <Line>
                <span>Every</span>
                <NumberInput
                    label="Seconds between announcements"
                    unit={waiting.announceSeconds === 0 ? 's: nothing is announced' : 's they are told'}
                    {...LIMITS.queueWaiting.announceSeconds}
                    value={waiting.announceSeconds}
                    disabled={disabled}
                    onSave={(announceSeconds) => set({ announceSeconds })}
                />
                <Checkbox
                    checked={waiting.tellsPosition}
                    disabled={disabled}
                    onChange={(event) => set({ tellsPosition: event.target.checked })}
                >
                    their place
                </Checkbox>
                <Checkbox
                    checked={waiting.tellsWait}
                    disabled={disabled}
                    onChange={(event) => set({ tellsWait: event.target.checked })}
                >
                    the expected wait
                </Checkbox>
            </Line>
            <Line error={error('/waiting/leaveKey')}>
                <span>They leave by pressing</span>
                <Select
                    aria-label="The key by which callers leave"
                    value={waiting.leaveKey ?? ''}
                    disabled={disabled}
                    style={{ width: 110 }}
                    options={KEY_CHOICES}
                    onChange={(key) => set({ leaveKey: key || null })}
                />
            </Line>
        </>
    );
}

import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { LIMITS } from '../api/limits';
import type { Finding, Queue } from '../api/types';
import { clock } from '../call/clock';
import { useAnswer } from '../moment/useAnswer';
import { ElementPicker } from '../ui/ElementPicker';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { Findings } from '../ui/Findings';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { rowActs } from '../ui/rowActs';
import { useFindings } from '../ui/useFindings';
import { AgentRow } from './AgentRow';
import { QueueStateLine } from './QueueStateLine';
import { WaitScale } from './WaitScale';

const ORDERS: { value: Queue['asking']['order']; label: string }[] = [
    { value: 'longest idle first', label: 'whoever has been idle longest' },
    { value: 'in order', label: 'the first in the list who is free' },
    { value: 'round robin', label: 'each in turn' },
    { value: 'fewest calls first', label: 'whoever took the fewest calls today' },
    { value: 'least talk time first', label: 'whoever talked least today' },
    { value: 'random', label: 'anybody' },
    { value: 'all at once', label: 'all who are free at once' },
];

const LEAVE_KEYS = ['', ...'123456789*0#'].map((key) => ({ value: key, label: key || 'no key' }));

export function QueuesScreen() {
    return (
        <ElementScreen
            kind="queue"
            empty="There is no queue yet. Name one below, then say who takes its calls."
            note={({ members, asking }) =>
                `${members.length} ${members.length === 1 ? 'agent' : 'agents'}, ${asking.order}`
            }
            editor={(props) => <QueueEditor {...props} />}
        />
    );
}

function QueueEditor(props: EditorProps<Queue>) {
    const { value } = props;
    const findings = useFindings(value.id);
    return (
        <>
            <Findings found={findings('/name')} />
            <WaitScale queue={value} />
            <Findings found={findings('/waiting')} />
            <h2>When the trial call comes to it</h2>
            <QueueStateLine queue={value} />
            <Agents {...props} findings={findings} />
            <Findings found={findings('/members')} />
            <Asking {...props} />
            <Findings found={findings('/asking')} />
            <Waiting {...props} />
            <Admission {...props} />
            <Promised {...props} />
        </>
    );
}

function Agents({
    value,
    change,
    error,
    disabled,
    findings,
}: EditorProps<Queue> & { findings: (pointer: string) => Finding[] }) {
    const { data: trace } = useAnswer();
    const rang = (who: string) => {
        const times = trace?.rung.filter((one) => one.person === who && one.until > one.from) ?? [];
        return times.length === 0 ? '' : `asked at ${[...new Set(times.map((one) => clock(one.from)))].join(', ')}`;
    };
    return (
        <>
            <h2>Agents</h2>
            <ol className="members">
                {value.members.map((member, i) => (
                    <AgentRow
                        key={member.who}
                        queue={value.id}
                        member={member}
                        rang={rang(member.who)}
                        disabled={disabled}
                        error={error(`/members/${i}`)}
                        found={findings(`/members/${i}`)}
                        acts={rowActs(value.members, i, (members) => change({ ...value, members }))}
                    />
                ))}
            </ol>
            {!disabled && (
                <Field label="Add an agent">
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            label="Add an agent"
                            kinds={['person']}
                            exclude={value.members.map((one) => one.who)}
                            value={null}
                            placeholder="Choose or name somebody"
                            onChange={(who) =>
                                who && change({ ...value, members: [...value.members, { who, tier: 1, on: true }] })
                            }
                        />
                    )}
                </Field>
            )}
        </>
    );
}

function Asking({ value, change, error, disabled }: EditorProps<Queue>) {
    const { asking } = value;
    const set = (part: Partial<Queue['asking']>) => change({ ...value, asking: { ...asking, ...part } });
    return (
        <>
            <h2>Who is asked</h2>
            <Line error={error('/asking')}>
                <span>First</span>
                <Select
                    aria-label="Who is asked first"
                    value={asking.order}
                    disabled={disabled}
                    style={{ width: 280 }}
                    options={ORDERS}
                    onChange={(order) => set({ order })}
                />
                <span>for</span>
                <NumberInput
                    label="Seconds for which an agent is asked"
                    unit="s each"
                    {...LIMITS.queueAsking.alertSeconds}
                    value={asking.alertSeconds}
                    disabled={disabled}
                    onSave={(alertSeconds) => set({ alertSeconds })}
                />
            </Line>
            <Line>
                <span>The next tier joins after</span>
                <NumberInput
                    label="Seconds of waiting until the next tier joins"
                    unit="s of waiting"
                    {...LIMITS.queueAsking.widenSeconds}
                    value={asking.widenSeconds}
                    disabled={disabled}
                    onSave={(widenSeconds) => set({ widenSeconds })}
                />
                <Checkbox
                    checked={asking.spillsOver}
                    disabled={disabled}
                    onChange={(event) => set({ spillsOver: event.target.checked })}
                >
                    at once while everybody before it is busy
                </Checkbox>
            </Line>
            <Line>
                <span>Nobody is asked for</span>
                <NumberInput
                    label="Seconds for notes after a call"
                    unit="s after a call, for notes, and for"
                    {...LIMITS.queueAsking.notesSeconds}
                    value={asking.notesSeconds}
                    disabled={disabled}
                    onSave={(notesSeconds) => set({ notesSeconds })}
                />
                <NumberInput
                    label="Seconds of pause after a missed call"
                    unit="s after one they did not take"
                    {...LIMITS.queueAsking.missedSeconds}
                    value={asking.missedSeconds}
                    disabled={disabled}
                    onSave={(missedSeconds) => set({ missedSeconds })}
                />
            </Line>
        </>
    );
}

function Waiting({ value, change, error, disabled }: EditorProps<Queue>) {
    const { waiting } = value;
    const set = (part: Partial<Queue['waiting']>) => change({ ...value, waiting: { ...waiting, ...part } });
    const prompt = (label: string, hint: string, field: 'introduction' | 'music') => (
        <Field label={label} hint={hint} error={error(`/waiting/${field}`)}>
            {(a11y) => (
                <ElementPicker
                    id={a11y.id}
                    status={a11y.status}
                    label={label}
                    kinds={['prompt']}
                    value={waiting[field]}
                    clearable
                    disabled={disabled}
                    onChange={(chosen) => set({ [field]: chosen })}
                />
            )}
        </Field>
    );
    return (
        <>
            <h2>What callers go through</h2>
            <div className="fields">
                {prompt('Introduction', 'Heard to its end before anybody is asked', 'introduction')}
                {prompt('Music', 'Where none is chosen, a ringing tone', 'music')}
            </div>
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
                    options={LEAVE_KEYS}
                    onChange={(key) => set({ leaveKey: key || null })}
                />
            </Line>
        </>
    );
}

function Admission({ value, change, error, disabled }: EditorProps<Queue>) {
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

function Promised({ value, change, disabled }: EditorProps<Queue>) {
    const { promise } = value;
    return (
        <>
            <h2>What is promised</h2>
            <Line>
                <NumberInput
                    label="Percent of calls"
                    unit="% of calls are answered within"
                    {...LIMITS.servicePromise.percent}
                    value={promise.percent}
                    disabled={disabled}
                    onSave={(percent) => change({ ...value, promise: { ...promise, percent } })}
                />
                <NumberInput
                    label="Seconds within which they are answered"
                    unit="s"
                    {...LIMITS.servicePromise.seconds}
                    value={promise.seconds}
                    disabled={disabled}
                    onSave={(seconds) => change({ ...value, promise: { ...promise, seconds } })}
                />
            </Line>
        </>
    );
}

function Line({ children, error }: { children: ReactNode; error?: string | undefined }) {
    return (
        <>
            <div className="line-row wrap">{children}</div>
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </>
    );
}

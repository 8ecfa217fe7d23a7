import { Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import { ElementField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { TextField } from '../ui/TextField';
import { Line } from './Line';

const ORDERS: { value: Queue['asking']['order']; label: string }[] = [
    { value: 'longest idle first', label: 'whoever has been idle longest' },
    { value: 'in order', label: 'the first in the list who is free' },
    { value: 'round robin', label: 'each in turn' },
    { value: 'fewest calls first', label: 'whoever took the fewest calls today' },
    { value: 'least talk time first', label: 'whoever talked least today' },
    { value: 'random', label: 'anybody' },
    { value: 'all at once', label: 'all who are free at once' },
];

const PICK_UPS: { value: Queue['taking']['pickUp']; label: string }[] = [
    { value: 'by hand', label: 'as any other call' },
    { value: 'asked first', label: 'by pressing 1, so that no mailbox takes it' },
    { value: 'by itself', label: 'without touching the phone: it answers by itself' },
];

const RANKS = Array.from({ length: LIMITS.queue.rank.max }, (_, i) => ({
    value: i + 1,
    label: ['1st', '2nd', '3rd'][i] ?? `${i + 1}th`,
}));

/** How agents are asked, how they take calls, how they sign in and out. */
export function AskingSection({ value, change, error, disabled }: EditorProps<Queue>) {
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
            <Line error={error('/rank')}>
                <span>Where an agent is in several queues with callers, this one comes</span>
                <Select
                    aria-label="Rank of this queue"
                    value={value.rank}
                    disabled={disabled}
                    style={{ width: 90 }}
                    options={RANKS}
                    onChange={(rank) => change({ ...value, rank })}
                />
            </Line>
            <Line error={error('/taking')}>
                <span>They take a call</span>
                <Select
                    aria-label="How agents take a call"
                    value={value.taking.pickUp}
                    disabled={disabled}
                    style={{ width: 330 }}
                    options={PICK_UPS}
                    onChange={(pickUp) => change({ ...value, taking: { ...value.taking, pickUp } })}
                />
            </Line>
            <div className="fields">
                <ElementField
                    label="What the agent hears first"
                    hint="Which line it is, before the caller is through"
                    error={error('/taking/word')}
                    kind="prompt"
                    none="nothing"
                    value={value.taking.word}
                    disabled={disabled}
                    onChange={(word) => change({ ...value, taking: { ...value.taking, word } })}
                />
            </div>
            <SigningIn value={value} change={change} error={error} disabled={disabled} />
        </>
    );
}

const CODES = [
    { field: 'codeIn', label: 'signs in' },
    { field: 'codePause', label: 'begins a pause' },
    { field: 'codeOut', label: 'signs out' },
] as const;

/** How agents sign in and out other than on the board. */
function SigningIn({
    value,
    change,
    error,
    disabled,
}: Pick<EditorProps<Queue>, 'value' | 'change' | 'error' | 'disabled'>) {
    const { duty } = value;
    const set = (part: Partial<Queue['duty']>) => change({ ...value, duty: { ...duty, ...part } });
    return (
        <>
            <Line error={error('/duty/signOutAfter')}>
                <span>Whoever misses</span>
                <OptionalNumberInput
                    label="Missed calls after which an agent is signed out"
                    open="any number"
                    unit="calls in a row is signed out"
                    {...LIMITS.queueDuty.signOutAfter}
                    value={duty.signOutAfter}
                    disabled={disabled}
                    onSave={(signOutAfter) => set({ signOutAfter })}
                />
            </Line>
            <div className="fields">
                {CODES.map(({ field, label }) => (
                    <TextField
                        key={field}
                        label={`Code that ${label}`}
                        placeholder="none, or such as *31"
                        value={duty[field]}
                        error={error(`/duty/${field}`)}
                        disabled={disabled}
                        onSave={(code) => set({ [field]: code.trim() })}
                    />
                ))}
            </div>
        </>
    );
}

import { Button } from 'antd';
import type { Mailbox } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { later } from '../people/rules';
import { usePlan } from '../plan/usePlan';
import { Line } from '../queues/Line';
import { PlayPrompt } from '../sound/PlayButton';
import { ElementField } from '../ui/ElementField';
import { ElementPicker } from '../ui/ElementPicker';
import type { EditorProps } from '../ui/ElementScreen';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';

/** The usual greeting, those for other reasons, and one for a while. */
export function Greetings({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const set = (part: Partial<Mailbox['greetings']>) =>
        change({ ...value, greetings: { ...value.greetings, ...part } });
    return (
        <>
            <div className="fields">
                <ElementField
                    label="Greeting"
                    hint="Nobody answered, and whatever has none of its own"
                    error={error('/greeting')}
                    kind="prompt"
                    none="none"
                    value={value.greeting}
                    disabled={disabled}
                    onChange={(greeting) => change({ ...value, greeting })}
                />
                <ElementField
                    label="While who is rung is busy"
                    error={error('/greetings/busy')}
                    kind="prompt"
                    none="the usual one"
                    value={value.greetings.busy}
                    disabled={disabled}
                    onChange={(busy) => set({ busy })}
                />
                <ElementField
                    label="Where nobody can be reached"
                    error={error('/greetings/unreachable')}
                    kind="prompt"
                    none="the usual one"
                    value={value.greetings.unreachable}
                    disabled={disabled}
                    onChange={(unreachable) => set({ unreachable })}
                />
                <ElementField
                    label="The name, recorded"
                    hint="Heard where there is no greeting"
                    error={error('/nameRecording')}
                    kind="prompt"
                    none="none"
                    value={value.nameRecording}
                    disabled={disabled}
                    onChange={(nameRecording) => change({ ...value, nameRecording })}
                />
            </div>
            <Away value={value} change={change} error={error} disabled={disabled} />
        </>
    );
}

/** In place of all others, until a time after which they return by themselves. */
function Away({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { away } = value;
    if (!away)
        return disabled ? null : (
            <Button
                size="small"
                onClick={() =>
                    change({
                        ...value,
                        away: { greeting: null, until: later(`${moment.at.slice(0, 10)}T08:00`, 24 * 60) },
                    })
                }
            >
                Another greeting for a while
            </Button>
        );
    const site = plan?.get('site', plan.get('person', value.owners[0])?.site)?.name;
    return (
        <Line error={error('/away')}>
            <span>For a while they hear</span>
            <ElementPicker
                label="Greeting for a while"
                kinds={['prompt']}
                clearable
                placeholder="choose what"
                value={away.greeting}
                disabled={disabled}
                onChange={(greeting) => change({ ...value, away: { ...away, greeting } })}
            />
            <PlayPrompt id={away.greeting} />
            <span>until</span>
            <LineInput
                label="The greeting for a while ends"
                type="datetime-local"
                width={200}
                size="middle"
                value={away.until}
                disabled={disabled}
                read={(typed) => typed.slice(0, 16) || null}
                onSave={(until) => change({ ...value, away: { ...away, until } })}
            />
            <span className="quiet">{site && `at ${site}`}; then the usual ones return</span>
            {!disabled && (
                <RemoveButton
                    label="Take the greeting for a while away"
                    onClick={() => change({ ...value, away: null })}
                />
            )}
        </Line>
    );
}

import { Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import { ElementField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { NumberInput } from '../ui/NumberInput';
import { KEY_CHOICES } from './keyChoices';
import { Line } from './Line';

type Callback = NonNullable<Queue['callback']>;

const USUAL: Callback = {
    offer: { key: '5', afterSeconds: 60, prompt: null, confirm: null, atTheEnd: false },
    calls: { tries: 2, pauseSeconds: 300, ringSeconds: 30, line: null, shows: null },
    window: { keptMinutes: 60, hours: null, overnight: true },
};

/** Whether callers may keep their place and be called back, and how. */
export function CallbackSection(props: EditorProps<Queue>) {
    const { value, change, disabled } = props;
    return (
        <>
            <h2>Calling back</h2>
            <Line>
                <Checkbox
                    checked={value.callback !== null}
                    disabled={disabled}
                    onChange={(event) => change({ ...value, callback: event.target.checked ? USUAL : null })}
                >
                    callers may keep their place, hang up, and be called back when it is their turn
                </Checkbox>
            </Line>
            {value.callback && (
                <>
                    <Offer {...props} callback={value.callback} />
                    <CallsBack {...props} callback={value.callback} />
                </>
            )}
        </>
    );
}

interface CallbackProps extends EditorProps<Queue> {
    callback: Callback;
}

/** What callers are offered, from when, and what they hear. */
function Offer({ value, change, error, disabled, callback }: CallbackProps) {
    const { offer } = callback;
    const setOffer = (part: Partial<Callback['offer']>) =>
        change({ ...value, callback: { ...callback, offer: { ...offer, ...part } } });
    return (
        <>
            <Line error={error('/callback/offer')}>
                <span>They press</span>
                <Select
                    aria-label="The key that keeps the place"
                    value={offer.key ?? ''}
                    disabled={disabled}
                    style={{ width: 110 }}
                    options={KEY_CHOICES}
                    onChange={(key) => setOffer({ key: key || null })}
                />
                <span>from</span>
                <NumberInput
                    label="Seconds of waiting after which calling back is offered"
                    unit="s of waiting on, when it is offered"
                    {...LIMITS.callbackOffer.afterSeconds}
                    value={offer.afterSeconds}
                    disabled={disabled}
                    onSave={(afterSeconds) => setOffer({ afterSeconds })}
                />
                <Checkbox
                    checked={offer.atTheEnd}
                    disabled={disabled}
                    onChange={(event) => setOffer({ atTheEnd: event.target.checked })}
                >
                    whoever has waited longest is called back too
                </Checkbox>
            </Line>
            <div className="fields">
                <ElementField
                    label="The offer"
                    error={error('/callback/offer/prompt')}
                    kind="prompt"
                    none="nothing is said"
                    value={offer.prompt}
                    disabled={disabled}
                    onChange={(prompt) => setOffer({ prompt })}
                />
                <ElementField
                    label="What confirms their number"
                    hint="Heard before they hang up"
                    error={error('/callback/offer/confirm')}
                    kind="prompt"
                    none="nothing is said"
                    value={offer.confirm}
                    disabled={disabled}
                    onChange={(confirm) => setOffer({ confirm })}
                />
            </div>
        </>
    );
}

/** How they are called back, how often, and until when. */
function CallsBack({ value, change, error, disabled, callback }: CallbackProps) {
    const { calls, window } = callback;
    const set = (part: Partial<Callback>) => change({ ...value, callback: { ...callback, ...part } });
    const setCalls = (part: Partial<Callback['calls']>) => set({ calls: { ...calls, ...part } });
    const setWindow = (part: Partial<Callback['window']>) => set({ window: { ...window, ...part } });
    return (
        <>
            <Line error={error('/callback/calls')}>
                <NumberInput
                    label="Calls back"
                    unit={calls.tries === 1 ? 'call back,' : 'calls back,'}
                    {...LIMITS.callbackTries.tries}
                    value={calls.tries}
                    disabled={disabled}
                    onSave={(tries) => setCalls({ tries })}
                />
                <NumberInput
                    label="Seconds for which a call back rings"
                    unit="s each,"
                    {...LIMITS.callbackTries.ringSeconds}
                    value={calls.ringSeconds}
                    disabled={disabled}
                    onSave={(ringSeconds) => setCalls({ ringSeconds })}
                />
                <NumberInput
                    label="Seconds between two calls back"
                    unit="s between them"
                    {...LIMITS.callbackTries.pauseSeconds}
                    value={calls.pauseSeconds}
                    disabled={disabled}
                    onSave={(pauseSeconds) => setCalls({ pauseSeconds })}
                />
            </Line>
            <div className="fields">
                <ElementField
                    label="By the line"
                    error={error('/callback/calls/line')}
                    kind="line"
                    none="whichever may carry it"
                    value={calls.line}
                    disabled={disabled}
                    onChange={(line) => setCalls({ line })}
                />
                <ElementField
                    label="Showing the number"
                    error={error('/callback/calls/shows')}
                    kind="number"
                    none="the one they dialled"
                    value={calls.shows}
                    disabled={disabled}
                    onChange={(shows) => setCalls({ shows })}
                />
                <ElementField
                    label="While these hours are open"
                    error={error('/callback/window/hours')}
                    kind="hours"
                    none="at any time"
                    value={window.hours}
                    disabled={disabled}
                    onChange={(hours) => setWindow({ hours })}
                />
            </div>
            <Line error={error('/callback/window')}>
                <span>A place is kept for</span>
                <NumberInput
                    label="Minutes for which a place is kept"
                    unit="min"
                    {...LIMITS.callbackWindow.keptMinutes}
                    value={window.keptMinutes}
                    disabled={disabled}
                    onSave={(keptMinutes) => setWindow({ keptMinutes })}
                />
                {window.hours && (
                    <Checkbox
                        checked={window.overnight}
                        disabled={disabled}
                        onChange={(event) => setWindow({ overnight: event.target.checked })}
                    >
                        places that are left at closing time are kept until it opens again
                    </Checkbox>
                )}
            </Line>
        </>
    );
}

import { Checkbox } from 'antd';
import { LIMITS } from '../api/limits';
import type { OutsideLine } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { SiteField } from '../ui/ElementField';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { FindingsAt } from '../ui/FindingsAt';
import { NumberInput } from '../ui/NumberInput';
import { TextField } from '../ui/TextField';
import { without } from '../ui/without';
import { TryANumber } from './TryANumber';

const DESTINATIONS: { value: OutsideLine['destinations'][number]; label: string }[] = [
    { value: 'internal', label: 'internal: a number of ours' },
    { value: 'local', label: 'local: the area of a number of this site' },
    { value: 'national', label: 'national' },
    { value: 'mobile', label: 'mobile, in this country' },
    { value: 'international', label: 'international' },
    { value: 'premium', label: 'premium rate' },
    { value: 'emergency', label: 'emergency: dialled at a phone, never forwarded' },
];

/** How calls leave: which digits go first, where they may go, and how many at once. */
export function LinesScreen() {
    return (
        <ElementScreen
            kind="line"
            empty="There is no outside line yet. Until there is one, nothing is known about how calls leave, and all may."
            note={(line) => `${line.channels} at once`}
            editor={(props) => <LineEditor {...props} />}
        />
    );
}

function LineEditor({ value, change, error, disabled }: EditorProps<OutsideLine>) {
    const { moment, change: changeMoment } = useMoment();
    return (
        <>
            <div className="fields">
                <SiteField
                    value={value.site}
                    hint="Its own lines are tried first, then the others"
                    error={error('/site')}
                    disabled={disabled}
                    onChange={(site) => change({ ...value, site })}
                />
                <TextField
                    label="Digits in front"
                    value={value.prefix}
                    hint="Such as 9 for a line; or empty"
                    disabled={disabled}
                    error={error('/prefix')}
                    onSave={(prefix) => change({ ...value, prefix })}
                />
                <Field label="Calls at the same time" error={error('/channels')} hint="Its channels">
                    {(a11y) => (
                        <NumberInput
                            id={a11y.id}
                            label="Calls at the same time"
                            unit="calls"
                            {...LIMITS.line.channels}
                            value={value.channels}
                            disabled={disabled}
                            onSave={(channels) => change({ ...value, channels })}
                        />
                    )}
                </Field>
            </div>
            <Field label="Destinations allowed" error={error('/destinations')} wide>
                {(a11y) => (
                    <Checkbox.Group
                        className="stacked"
                        aria-describedby={a11y['aria-describedby']}
                        value={value.destinations}
                        disabled={disabled}
                        options={DESTINATIONS}
                        onChange={(destinations) => change({ ...value, destinations })}
                    />
                )}
            </Field>
            <FindingsAt pointer="/destinations" />
            <h2>Try it</h2>
            <TryANumber site={value.site} />
            <p className="line-row">
                In the trial call, other calls use
                <NumberInput
                    label="Channels that other calls use"
                    unit={`of its ${value.channels} channels`}
                    min={0}
                    max={value.channels}
                    value={moment.taken[value.id] ?? 0}
                    onSave={(calls) =>
                        changeMoment(({ taken }) => ({
                            taken: calls > 0 ? { ...taken, [value.id]: calls } : without(taken, value.id),
                        }))
                    }
                />
            </p>
        </>
    );
}

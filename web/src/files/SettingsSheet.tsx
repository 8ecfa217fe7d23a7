import { LIMITS } from '../api/limits';
import { useMoment } from '../moment/useMoment';
import { useSettings } from '../plan/useSettings';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';
import { Why } from '../ui/Why';

export function SettingsSheet() {
    const { moment } = useMoment();
    const { settings, change } = useSettings();
    if (!settings) return null;
    const disabled = moment.in !== 'draft';
    return (
        <section className="sheet" aria-label="Settings of the plan">
            <h1>Settings of the plan</h1>
            <Why
                value={settings.why ?? ''}
                disabled={disabled}
                error={undefined}
                onSave={(why) => change(() => ({ why }))}
            />
            <Setting
                label="Loudness of takes"
                hint="Every recording that comes in is brought to it (EBU R 128). −20 is common practice for announcements; takes that are there stay as they are."
                unit="LUFS"
                limits={LIMITS.settings.loudness}
                value={settings.loudness}
                disabled={disabled}
                onSave={(loudness) => change(() => ({ loudness }))}
            />
            <Setting
                label="Waiting that is too long"
                hint="Where callers may wait longer for somebody, it is a finding."
                unit="seconds"
                limits={LIMITS.settings.longestWait}
                value={settings.longestWait}
                disabled={disabled}
                onSave={(longestWait) => change(() => ({ longestWait }))}
            />
        </section>
    );
}

function Setting(props: {
    label: string;
    hint: string;
    unit: string;
    limits: { min: number; max: number };
    value: number;
    disabled: boolean;
    onSave: (value: number) => void;
}) {
    const { label, hint, unit, limits, value, disabled, onSave } = props;
    return (
        <Field label={label} hint={hint} error={undefined}>
            {(a11y) => (
                <NumberInput
                    id={a11y.id}
                    label={label}
                    unit={unit}
                    min={limits.min}
                    max={limits.max}
                    value={value}
                    disabled={disabled}
                    onSave={onSave}
                />
            )}
        </Field>
    );
}

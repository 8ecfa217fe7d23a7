import { LIMITS } from '../api/limits';
import type { Settings } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { newElement } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';

/** What holds for the whole plan; a plan that says nothing goes by what is usual. */
export function SettingsSheet() {
    const plan = usePlan();
    const { moment } = useMoment();
    const { save, add } = useEdit();
    if (!plan) return null;
    const [kept] = plan.all('settings');
    const settings = kept ?? (newElement('settings', 'Settings', plan) as Settings);
    const set = (part: Partial<Settings>) =>
        kept ? save({ ...kept, ...part }) : add({ ...settings, ...part } as Settings);
    const disabled = moment.in !== 'draft';
    return (
        <section className="sheet" aria-label="Settings of the plan">
            <h1>Settings of the plan</h1>
            <Setting
                label="Loudness of takes"
                hint="Every recording that comes in is brought to it (EBU R 128). −20 is common practice for announcements; takes that are there stay as they are."
                unit="LUFS"
                limits={LIMITS.settings.loudness}
                value={settings.loudness}
                disabled={disabled}
                onSave={(loudness) => set({ loudness })}
            />
            <Setting
                label="Waiting that is too long"
                hint="Where callers may wait longer for somebody, it is a finding."
                unit="seconds"
                limits={LIMITS.settings.longestWait}
                value={settings.longestWait}
                disabled={disabled}
                onSave={(longestWait) => set({ longestWait })}
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

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
            <Field
                label="Loudness of takes"
                hint="Every recording that comes in is brought to it (EBU R 128). −20 is common practice for announcements; takes that are there stay as they are."
                error={undefined}
            >
                {(a11y) => (
                    <NumberInput
                        id={a11y.id}
                        label="Loudness of takes"
                        unit="LUFS"
                        min={LIMITS.settings.loudness.min}
                        max={LIMITS.settings.loudness.max}
                        value={settings.loudness}
                        disabled={disabled}
                        onSave={(loudness) => set({ loudness })}
                    />
                )}
            </Field>
            <Field
                label="Waiting that is too long"
                hint="Where callers may wait longer for somebody, it is a finding."
                error={undefined}
            >
                {(a11y) => (
                    <NumberInput
                        id={a11y.id}
                        label="Waiting that is too long"
                        unit="seconds"
                        min={LIMITS.settings.longestWait.min}
                        max={LIMITS.settings.longestWait.max}
                        value={settings.longestWait}
                        disabled={disabled}
                        onSave={(longestWait) => set({ longestWait })}
                    />
                )}
            </Field>
        </section>
    );
}

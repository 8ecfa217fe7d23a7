import { Select } from 'antd';
import { LIMITS } from '../../api/limits';
import { usePlan } from '../../plan/usePlan';
import { ElementPicker } from '../../ui/ElementPicker';
import { NumberInput } from '../../ui/NumberInput';
import { BY_LABEL } from '../../ui/searched';
import type { StepOf } from './module';

export type Dial = NonNullable<StepOf<'menu'>['dial']>;

export const USUAL_DIAL: Dial = { scope: 'everybody', site: null, people: [], digitSeconds: 3, hours: null };

const SCOPES: { value: Dial['scope']; label: string }[] = [
    { value: 'everybody', label: 'everybody listed' },
    { value: 'site', label: 'everybody listed at' },
    { value: 'some', label: 'some' },
];

/** Whom callers may reach by themselves, how long another digit is waited for, and when it rings. */
export function Dialling({ dial, onChange }: { dial: Dial; onChange: (dial: Dial) => void }) {
    const plan = usePlan();
    return (
        <>
            <Select
                aria-label="Whose extensions"
                style={{ width: 180 }}
                value={dial.scope}
                options={SCOPES}
                onChange={(scope) => onChange({ ...dial, scope })}
            />
            {dial.scope === 'site' && (
                <ElementPicker
                    label="Site of those who can be dialled"
                    kinds={['site']}
                    value={dial.site}
                    onChange={(site) => onChange({ ...dial, site })}
                />
            )}
            {dial.scope === 'some' && (
                <Select
                    aria-label="People who can be dialled"
                    mode="multiple"
                    style={{ minWidth: 200 }}
                    showSearch={BY_LABEL}
                    placeholder="nobody yet"
                    value={dial.people}
                    options={(plan?.all('person') ?? []).map(({ id, name }) => ({ value: id, label: name }))}
                    onChange={(people) => onChange({ ...dial, people })}
                />
            )}
            <span>with</span>
            <NumberInput
                label="Seconds in which another digit may follow"
                unit="s for another digit;"
                {...LIMITS.menuDialling.digitSeconds}
                value={dial.digitSeconds}
                onSave={(digitSeconds) => onChange({ ...dial, digitSeconds })}
            />
            <span>straight to their mailbox unless open:</span>
            <ElementPicker
                label="Hours in which dialled extensions ring"
                kinds={['hours']}
                clearable
                placeholder="they always ring"
                value={dial.hours}
                onChange={(hours) => onChange({ ...dial, hours })}
            />
        </>
    );
}

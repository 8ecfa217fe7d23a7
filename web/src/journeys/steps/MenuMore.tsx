import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { LIMITS } from '../../api/limits';
import type { Step } from '../../api/types';
import { usePlan } from '../../plan/usePlan';
import { ElementPicker } from '../../ui/ElementPicker';
import { NumberInput } from '../../ui/NumberInput';
import type { StepOf } from './module';
import { WriteScript } from './WriteScript';

type Menu = StepOf<'menu'>;
type Dial = NonNullable<Menu['dial']>;

const USUAL: Dial = { scope: 'everybody', site: null, people: [], digitSeconds: 3, hours: null };

const SCOPES: { value: Dial['scope']; label: string }[] = [
    { value: 'everybody', label: 'everybody' },
    { value: 'site', label: 'everybody at' },
    { value: 'some', label: 'some' },
];

/** What a menu has beside its keys: other words for later tries, extensions that can be dialled, its script. */
export function MenuMore({ step, onChange }: { step: Menu; onChange: (step: Step) => void }) {
    const set = (part: Partial<Menu>) => onChange({ ...step, ...part });
    return (
        <div className="menu-more">
            <Row>
                <Checkbox checked={step.duringPrompt} onChange={(event) => set({ duringPrompt: event.target.checked })}>
                    keys count while it plays
                </Checkbox>
                <Words
                    label="Words of the second try"
                    value={step.secondPrompt}
                    onPick={(secondPrompt) => set({ secondPrompt })}
                />
                <Words
                    label="Words after a wrong key"
                    value={step.wrongPrompt}
                    onPick={(wrongPrompt) => set({ wrongPrompt })}
                />
            </Row>
            <Row>
                <Checkbox
                    checked={step.dial !== null}
                    onChange={(event) => set({ dial: event.target.checked ? USUAL : null })}
                >
                    extensions can be dialled
                </Checkbox>
                {step.dial && <Dialling dial={step.dial} onChange={(dial) => set({ dial })} />}
            </Row>
            <WriteScript step={step} />
        </div>
    );
}

function Row({ children }: { children: ReactNode }) {
    return <div className="line-row wrap">{children}</div>;
}

function Words({ label, value, onPick }: { label: string; value: string | null; onPick: (id: string | null) => void }) {
    return (
        <span className="with-unit">
            <span>{label.toLowerCase()}</span>
            <ElementPicker
                label={label}
                kinds={['prompt']}
                clearable
                placeholder="the same"
                value={value}
                onChange={onPick}
            />
        </span>
    );
}

function Dialling({ dial, onChange }: { dial: Dial; onChange: (dial: Dial) => void }) {
    const plan = usePlan();
    return (
        <>
            <span>of</span>
            <Select
                aria-label="Whose extensions"
                style={{ width: 140 }}
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
                    showSearch={{ optionFilterProp: 'label' }}
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

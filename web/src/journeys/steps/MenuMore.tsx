import { Checkbox } from 'antd';
import type { ReactNode } from 'react';
import type { Step } from '../../api/types';
import { ElementPicker } from '../../ui/ElementPicker';
import { Dialling, USUAL_DIAL } from './Dialling';
import { MenuWords } from './MenuWords';
import type { StepOf } from './module';
import { WriteScript } from './WriteScript';

type Menu = StepOf<'menu'>;

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
                    onChange={(event) => set({ dial: event.target.checked ? USUAL_DIAL : null })}
                >
                    extensions can be dialled
                </Checkbox>
                {step.dial && <span>of</span>}
                {step.dial && <Dialling dial={step.dial} onChange={(dial) => set({ dial })} />}
            </Row>
            <MenuWords step={step} onChange={onChange} />
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

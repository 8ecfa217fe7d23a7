import { ElementPicker } from '../../ui/ElementPicker';
import type { StepModule, StepOf } from './module';

export const caller: StepModule<StepOf<'caller'>> = {
    label: 'Caller',
    about: 'tells callers apart by lists',
    blank: (id) => ({ id, do: 'caller', exits: [] }),
    exits: (_, plan) => (plan?.all('callers') ?? []).map(({ id, name }) => ({ on: id, label: `one of ${name}` })),
    Sentence: ({ step }) => (
        <span>
            {step.exits.length === 0 ? <span className="missing">no list of callers yet</span> : 'Look who calls'}
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Look who calls{' '}
            <ElementPicker
                label="Add a list of callers"
                kinds={['callers']}
                exclude={step.exits.map((exit) => exit.on)}
                placeholder="Add or name a list"
                value={null}
                onChange={(on) => on && onChange({ ...step, exits: [...step.exits, { on, label: '', steps: [] }] })}
            />
        </>
    ),
};

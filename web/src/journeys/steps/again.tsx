import { Select } from 'antd';
import { NO_EXITS, type StepModule, type StepOf } from './module';

const LEVELS = [
    { value: 0, label: 'the menu that it is in' },
    { value: 1, label: 'the menu above that' },
    { value: 2, label: 'two menus further up' },
];

export const again: StepModule<StepOf<'again'>> = {
    label: 'Back to the menu',
    about: 'asks again, or a level up',
    blank: (id) => ({ id, do: 'again', up: 0 }),
    exits: NO_EXITS,
    Sentence: ({ step }) => (
        <span>Go back to {LEVELS.find(({ value }) => value === step.up)?.label ?? `${step.up} menus further up`}</span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Go back to{' '}
            <Select
                aria-label="Which menu asks again"
                style={{ width: 210 }}
                value={step.up}
                options={LEVELS}
                onChange={(up) => onChange({ ...step, up })}
            />
        </>
    ),
};

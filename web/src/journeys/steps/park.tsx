import { Select } from 'antd';
import { LIMITS } from '../../api/limits';
import { usePlan } from '../../plan/usePlan';
import { ElementPicker } from '../../ui/ElementPicker';
import { NumberInput } from '../../ui/NumberInput';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';

const EXITS = [
    { on: 'not taken', label: 'nobody takes it' },
    { on: 'none free', label: 'no place is free' },
];

export const park: StepModule<StepOf<'park'>> = {
    label: 'Park',
    about: 'waits at a place until somebody dials it',
    blank: (id) => ({ id, do: 'park', site: null, place: '', seconds: 120, prompt: null, exits: [] }),
    exits: () => EXITS,
    Sentence: ({ step }) => (
        <span>
            Park at {step.place || 'the first free place'} of <Name id={step.site} missing="no site yet" />
            <span className="quiet">{step.seconds === 0 ? ' until it is taken' : ` for up to ${step.seconds} s`}</span>
        </span>
    ),
    Fields: ({ step, onChange }) => {
        const places = usePlan()?.get('site', step.site)?.parkPlaces ?? [];
        return (
            <>
                Park at{' '}
                <Pick
                    label="Site of the park places"
                    kind="site"
                    value={step.site}
                    onPick={(site) => onChange({ ...step, site, place: '' })}
                />
                <Select
                    aria-label="Park place"
                    style={{ width: 180 }}
                    value={step.place}
                    options={[
                        { value: '', label: 'the first free place' },
                        ...[...new Set([...places, ...(step.place ? [step.place] : [])])].map((place) => ({
                            value: place,
                            label: `place ${place}`,
                        })),
                    ]}
                    onChange={(place) => onChange({ ...step, place })}
                />
                for up to{' '}
                <NumberInput
                    label="Seconds until it comes back"
                    unit="s (0: until it is taken), hearing"
                    {...LIMITS.park.seconds}
                    value={step.seconds}
                    onSave={(seconds) => onChange({ ...step, seconds })}
                />
                <ElementPicker
                    label="Heard while it is parked"
                    kinds={['prompt']}
                    clearable
                    placeholder="nothing"
                    value={step.prompt}
                    onChange={(prompt) => onChange({ ...step, prompt })}
                />
            </>
        );
    },
};

import { NO_EXITS, type StepModule, type StepOf } from './module';
import { Name, Pick } from './parts';

export const go: StepModule<StepOf<'go'>> = {
    label: 'Go',
    about: 'on in another journey',
    blank: (id) => ({ id, do: 'go', journey: null }),
    exits: NO_EXITS,
    Sentence: ({ step }) => (
        <span>
            Go on in <Name id={step.journey} missing="no journey yet" />
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Go on in{' '}
            <Pick
                label="Journey"
                kind="journey"
                value={step.journey}
                onPick={(journey) => onChange({ ...step, journey })}
            />
        </>
    ),
};

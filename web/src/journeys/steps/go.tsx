import { Checkbox } from 'antd';
import { NO_EXITS, type StepModule, type StepOf } from './module';
import { Name, Pick } from './parts';

export const go: StepModule<StepOf<'go'>> = {
    label: 'Go',
    about: 'on in another journey',
    blank: (id) => ({ id, do: 'go', journey: null, comesBack: false }),
    exits: NO_EXITS,
    Sentence: ({ step }) => (
        <span>
            {step.comesBack ? 'Go through' : 'Go on in'} <Name id={step.journey} missing="no journey yet" />
            {step.comesBack && <span className="quiet"> and come back</span>}
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
            <Checkbox
                checked={step.comesBack}
                onChange={(event) => onChange({ ...step, comesBack: event.target.checked })}
            >
                and come back when it runs out
            </Checkbox>
        </>
    ),
};

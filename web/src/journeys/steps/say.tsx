import { KEY_EXITS } from './keys';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';

export const say: StepModule<StepOf<'say'>> = {
    label: 'Say',
    about: 'plays a prompt',
    blank: (id) => ({ id, do: 'say', prompt: null, exits: [] }),
    exits: () => KEY_EXITS,
    Sentence: ({ step }) => (
        <span>
            Say <Name id={step.prompt} missing="no prompt yet" />
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Say{' '}
            <Pick label="Prompt" kind="prompt" value={step.prompt} onPick={(prompt) => onChange({ ...step, prompt })} />
        </>
    ),
};

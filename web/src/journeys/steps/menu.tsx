import { KEYS } from './keys';
import { MenuMore } from './MenuMore';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';
import { WaitAndTries } from './WaitAndTries';

export const menu: StepModule<StepOf<'menu'>> = {
    // k for a menu of keys, since m is a message.
    label: 'Menu',
    about: 'asks for a key',
    blank: (id) => ({
        id,
        do: 'menu',
        prompt: null,
        wait: 5,
        tries: 2,
        duringPrompt: true,
        secondPrompt: null,
        wrongPrompt: null,
        words: [],
        dial: null,
        exits: [{ on: '1', label: '', steps: [] }],
    }),
    exits: () => [
        ...KEYS.map((key) => ({ on: key, label: `key ${key}` })),
        { on: 'nothing', label: 'nothing pressed' },
        { on: 'wrong', label: 'wrong key' },
        { on: 'dialled', label: 'dialled in vain' },
    ],
    Sentence: ({ step }) => (
        <span>
            Ask with <Name id={step.prompt} missing="no prompt yet" />
            <span className="quiet">
                {' '}
                wait {step.wait} s, {step.tries} {step.tries === 1 ? 'try' : 'tries'}
            </span>
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Ask with{' '}
            <Pick label="Prompt" kind="prompt" value={step.prompt} onPick={(prompt) => onChange({ ...step, prompt })} />
            <WaitAndTries step={step} onChange={(patience) => onChange({ ...step, ...patience })} />
        </>
    ),
    Picture: MenuMore,
};

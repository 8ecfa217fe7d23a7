import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';

const EXITS = [
    { on: 'no agents', label: 'nobody is signed in' },
    { on: 'unreachable', label: 'nobody can be reached' },
    { on: 'full', label: 'full' },
    { on: 'too long', label: 'the expected wait is too long' },
    { on: 'waited', label: 'waited for too long' },
    { on: 'key', label: 'left by key' },
    { on: 'callback', label: 'before they hang up, to be called back' },
];

export const queue: StepModule<StepOf<'queue'>> = {
    label: 'Queue',
    about: 'wait in order for an agent',
    blank: (id) => ({ id, do: 'queue', queue: null, exits: [] }),
    exits: () => EXITS,
    Sentence: ({ step }) => (
        <span>
            Wait in <Name id={step.queue} missing="no queue yet" />
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Wait in{' '}
            <Pick
                label="Queue"
                kind="queue"
                value={step.queue}
                onPick={(chosen) => onChange({ ...step, queue: chosen })}
            />
        </>
    ),
};

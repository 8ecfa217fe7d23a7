import { KEY_EXITS } from './keys';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';

export const message: StepModule<StepOf<'message'>> = {
    label: 'Message',
    about: 'into a mailbox',
    blank: (id) => ({ id, do: 'message', mailbox: null, exits: [] }),
    // # is the mailbox's own: it records at once.
    exits: () => KEY_EXITS.filter(({ on }) => on !== '#'),
    Sentence: ({ step }) => (
        <span>
            Take a message into <Name id={step.mailbox} missing="no mailbox yet" />
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Take a message into{' '}
            <Pick
                label="Mailbox"
                kind="mailbox"
                value={step.mailbox}
                onPick={(mailbox) => onChange({ ...step, mailbox })}
            />
        </>
    ),
};

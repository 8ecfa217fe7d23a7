import { NO_EXITS, type StepModule, type StepOf } from './module';
import { Name, Pick } from './parts';

export const message: StepModule<StepOf<'message'>> = {
    label: 'Message',
    about: 'into a mailbox',
    blank: (id) => ({ id, do: 'message', mailbox: null }),
    exits: NO_EXITS,
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

import { LIMITS } from '../../api/limits';
import { ElementPicker } from '../../ui/ElementPicker';
import { NumberInput } from '../../ui/NumberInput';
import { NO_EXITS, type StepModule, type StepOf } from './module';
import { Name, Pick } from './parts';

export const fax: StepModule<StepOf<'fax'>> = {
    label: 'Fax',
    about: 'a document into a mailbox; callers go on',
    blank: (id) => ({ id, do: 'fax', mailbox: null, seconds: 4, prompt: null }),
    exits: NO_EXITS,
    Sentence: ({ step }) => (
        <span>
            Listen for a fax for <Name id={step.mailbox} missing="no mailbox yet" />
            <span className="quiet"> for {step.seconds} s</span>
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Faxes go to{' '}
            <Pick
                label="Mailbox"
                kind="mailbox"
                value={step.mailbox}
                onPick={(mailbox) => onChange({ ...step, mailbox })}
            />
            listening for{' '}
            <NumberInput
                label="Seconds to listen for a fax"
                unit="s; callers hear"
                {...LIMITS.fax.seconds}
                value={step.seconds}
                onSave={(seconds) => onChange({ ...step, seconds })}
            />
            <ElementPicker
                label="Heard while it listens for a fax"
                kinds={['prompt']}
                clearable
                placeholder="silence"
                value={step.prompt}
                onChange={(prompt) => onChange({ ...step, prompt })}
            />
        </>
    ),
};

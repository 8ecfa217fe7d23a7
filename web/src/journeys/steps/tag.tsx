import { Input, Select } from 'antd';
import { missingLanguages } from '../../ui/LanguageSelect';
import { NO_EXITS, type StepModule, type StepOf } from './module';

type Urgency = StepOf<'tag'>['urgency'];

const URGENCIES: { value: NonNullable<Urgency> | ''; label: string }[] = [
    { value: '', label: 'as it is' },
    { value: 'urgent', label: 'urgent: before others' },
    { value: 'usual', label: 'usual' },
    { value: 'can wait', label: 'can wait: after others' },
];

/** What a tag step changes, in a few words. */
function changes({ label, language, urgency }: StepOf<'tag'>): string {
    const parts = [label && `shown as “${label}”`, language && `in “${language}”`, urgency && urgency];
    return parts.filter(Boolean).join(', ') || 'nothing yet';
}

export const tag: StepModule<StepOf<'tag'>> = {
    label: 'Tag',
    about: 'changes label, language or urgency',
    blank: (id) => ({ id, do: 'tag', label: '', language: null, urgency: null }),
    exits: NO_EXITS,
    Sentence: ({ step }) => <span>From here on: {changes(step)}</span>,
    Fields: ({ step, onChange }) => (
        <>
            From here on shown as{' '}
            <Input
                aria-label="Label that the answerer sees"
                placeholder="the label as it is"
                maxLength={80}
                style={{ width: 180 }}
                defaultValue={step.label}
                onBlur={(event) =>
                    event.target.value !== step.label && onChange({ ...step, label: event.target.value })
                }
                onPressEnter={(event) => event.currentTarget.blur()}
            />{' '}
            in{' '}
            <Select
                aria-label="Language from here on"
                style={{ width: 190 }}
                value={step.language ?? ''}
                options={[{ value: '', label: 'the language as it is' }, ...missingLanguages([])]}
                onChange={(language) => onChange({ ...step, language: language || null })}
            />{' '}
            urgency{' '}
            <Select
                aria-label="Urgency in queues"
                style={{ width: 190 }}
                value={step.urgency ?? ('' as NonNullable<Urgency> | '')}
                options={URGENCIES}
                onChange={(urgency) => onChange({ ...step, urgency: urgency || null })}
            />
        </>
    ),
};

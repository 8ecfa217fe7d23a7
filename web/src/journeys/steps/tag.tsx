import { Select } from 'antd';
import { languageName, missingLanguages } from '../../ui/LanguageSelect';
import { LineInput } from '../../ui/LineInput';
import { NO_EXITS, type StepModule, type StepOf } from './module';

type Urgency = StepOf<'tag'>['urgency'];

const URGENCIES: { value: NonNullable<Urgency> | ''; label: string }[] = [
    { value: '', label: 'as it is' },
    { value: 'urgent', label: 'urgent: before others' },
    { value: 'usual', label: 'usual' },
    { value: 'can wait', label: 'can wait: after others' },
];

/** What a tag step changes, in a few words. */
function changes({ label, language, urgency, tone, note }: StepOf<'tag'>): string {
    const parts = [
        label && `shown as “${label}”`,
        language && `in ${languageName(language)}`,
        urgency && urgency,
        tone && `ring tone “${tone}”`,
        note && `with the note “${note}”`,
    ];
    return parts.filter(Boolean).join(', ') || 'nothing yet';
}

export const tag: StepModule<StepOf<'tag'>> = {
    label: 'Tag',
    about: 'label, language, urgency, ring tone, note',
    blank: (id) => ({ id, do: 'tag', label: '', language: null, urgency: null, tone: '', note: '' }),
    exits: NO_EXITS,
    Sentence: ({ step }) => <span>From here on: {changes(step)}</span>,
    Fields: ({ step, onChange }) => (
        <>
            From here on shown as{' '}
            <Words
                label="Label that the answerer sees"
                placeholder="the label as it is"
                most={80}
                value={step.label}
                onSave={(label) => onChange({ ...step, label })}
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
            />{' '}
            ring tone{' '}
            <Words
                label="Ring tone, by the name that phones know"
                placeholder="as it is"
                most={40}
                value={step.tone}
                onSave={(tone) => onChange({ ...step, tone })}
            />{' '}
            note{' '}
            <Words
                label="Note to whoever answers"
                placeholder="none"
                most={200}
                value={step.note}
                onSave={(note) => onChange({ ...step, note })}
            />
        </>
    ),
};

function Words({
    label,
    placeholder,
    most,
    value,
    onSave,
}: {
    label: string;
    placeholder: string;
    most: number;
    value: string;
    onSave: (value: string) => void;
}) {
    return (
        <LineInput
            label={label}
            placeholder={placeholder}
            maxLength={most}
            width={180}
            size="middle"
            value={value}
            onSave={onSave}
        />
    );
}

import { Radio, Select } from 'antd';
import { useEditions } from '../editions/useEditions';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { BY_LABEL } from '../ui/searched';

const LANGUAGES = [
    { value: 'en', label: 'In English' },
    { value: 'fr', label: 'In French' },
] as const;

const KINDS_OF_PAPER = [
    { value: 'paper', label: 'All of it, step by step' },
    { value: 'brief', label: 'In brief: who answers when' },
] as const;

export interface Choice {
    kind: (typeof KINDS_OF_PAPER)[number]['value'];
    language: (typeof LANGUAGES)[number]['value'];
    /** Null for the whole plan. */
    number: string | null;
    /** Another plan that a brief stands beside; null for none. */
    before: string | null;
}

/** Which paper it is to be. */
export function PaperChoices({ choice, onChange }: { choice: Choice; onChange: (change: Partial<Choice>) => void }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const editions = useEditions();
    const others = [
        { value: 'live', label: 'beside what is live' },
        ...editions.map((one) => ({ value: String(one.number), label: `beside edition ${one.number}` })),
    ];
    return (
        <>
            <Radio.Group
                optionType="button"
                aria-label="Kind of paper"
                value={choice.kind}
                options={[...KINDS_OF_PAPER]}
                onChange={(event) => onChange({ kind: event.target.value })}
            />
            <Radio.Group
                optionType="button"
                aria-label="Language of the paper"
                value={choice.language}
                options={[...LANGUAGES]}
                onChange={(event) => onChange({ language: event.target.value })}
            />
            <Select
                aria-label="What it is about"
                allowClear
                showSearch={BY_LABEL}
                style={{ width: 260 }}
                placeholder="the whole plan"
                value={choice.number}
                options={(plan?.all('number') ?? []).map((one) => ({ value: one.id, label: `Behind ${one.name}` }))}
                onChange={(chosen?: string) => onChange({ number: chosen ?? null })}
            />
            {choice.kind === 'brief' && (
                <Select
                    aria-label="What it is compared with"
                    allowClear
                    style={{ width: 190 }}
                    placeholder="by itself"
                    value={choice.before}
                    options={others.filter((one) => one.value !== moment.in)}
                    onChange={(chosen?: string) => onChange({ before: chosen ?? null })}
                />
            )}
        </>
    );
}

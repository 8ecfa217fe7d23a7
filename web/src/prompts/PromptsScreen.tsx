import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { api, ask } from '../api/client';
import type { Prompt } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { languageName, missingLanguages } from '../ui/LanguageSelect';
import { TextField } from '../ui/TextField';

export function PromptsScreen() {
    const seconds = useSeconds();
    return (
        <ElementScreen
            kind="prompt"
            empty="There is no prompt yet. Name one below, then write what callers hear."
            searchable={(prompt) => Object.values(prompt.scripts).join(' ')}
            note={(prompt) =>
                Object.entries(seconds?.[prompt.id] ?? {})
                    .map(([language, value]) => `${language} ${value} s`)
                    .join(' · ')
            }
            editor={(props) => <PromptEditor {...props} seconds={seconds?.[props.value.id]} />}
        />
    );
}

function useSeconds(): Record<string, Record<string, number>> | undefined {
    const { moment } = useMoment();
    const plan = usePlan();
    return useQuery({
        queryKey: ['prompt-seconds', moment.in, plan?.stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/prompt-seconds', { params: { path: { which: moment.in } } })),
        placeholderData: (previous) => previous,
    }).data?.seconds;
}

function PromptEditor({
    value,
    change,
    error,
    disabled,
    seconds,
}: EditorProps<Prompt> & { seconds: Record<string, number> | undefined }) {
    const languages = Object.keys(value.scripts);
    const offered = missingLanguages(languages);
    return (
        <>
            {languages.map((language) => (
                <div className="script" key={language}>
                    <TextField
                        wide
                        label={`Script in ${languageName(language)}`}
                        rows={3}
                        value={value.scripts[language] ?? ''}
                        disabled={disabled}
                        error={error(`/scripts/${language}`)}
                        hint={
                            seconds?.[language] ? `About ${seconds[language]} s at 150 words a minute` : 'No words yet'
                        }
                        onSave={(script) => change({ ...value, scripts: { ...value.scripts, [language]: script } })}
                    />
                    {!disabled && languages.length > 1 && (
                        <Button
                            size="small"
                            type="text"
                            onClick={() =>
                                change({
                                    ...value,
                                    scripts: Object.fromEntries(
                                        Object.entries(value.scripts).filter(([one]) => one !== language),
                                    ),
                                })
                            }
                        >
                            Remove {languageName(language)}
                        </Button>
                    )}
                </div>
            ))}
            {!disabled && (
                <Select
                    aria-label="Add a language"
                    placeholder="Add a language"
                    style={{ width: 180 }}
                    value={null}
                    options={offered}
                    onChange={(code: string | null) =>
                        code && change({ ...value, scripts: { ...value.scripts, [code]: '' } })
                    }
                />
            )}
        </>
    );
}

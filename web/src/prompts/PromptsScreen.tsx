import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { api, ask } from '../api/client';
import type { Prompt } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { ElementField } from '../ui/ElementField';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { languageName, missingLanguages } from '../ui/LanguageSelect';
import { TextField } from '../ui/TextField';
import { without } from '../ui/without';
import { ScriptSection } from './ScriptSection';

export function PromptsScreen() {
    const lengths = useLengths();
    return (
        <ElementScreen
            kind="prompt"
            empty="There is no prompt yet. Name one below, then write what callers hear."
            searchable={(prompt) => Object.values(prompt.scripts).join(' ')}
            note={(prompt) =>
                Object.entries(lengths?.seconds[prompt.id] ?? {})
                    .map(
                        ([language, value]) =>
                            `${languageName(language)} ${value} s${prompt.inUse[language] ? ', recorded' : ''}`,
                    )
                    .join(' · ')
            }
            editor={(props) => (
                <PromptEditor
                    {...props}
                    seconds={lengths?.seconds[props.value.id]}
                    parts={lengths?.parts[props.value.id]}
                />
            )}
        />
    );
}

/** How long prompts are, and the parts of those with blanks. */
function useLengths() {
    const { moment } = useMoment();
    const plan = usePlan();
    return useQuery({
        queryKey: ['prompt-seconds', moment.in, plan?.stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/prompt-seconds', { params: { path: { which: moment.in } } })),
        placeholderData: (previous) => previous,
    }).data;
}

function PromptEditor(
    props: EditorProps<Prompt> & {
        seconds: Record<string, number> | undefined;
        parts: Record<string, string[]> | undefined;
    },
) {
    const { value, change, disabled, seconds, parts } = props;
    const recorded = Object.keys(value.inUse).filter((key) => !key.includes('/'));
    const languages = [...new Set([...Object.keys(value.scripts), ...recorded])].sort();
    const saysOpening = Object.values(value.scripts).some((script) => script.includes('{opening}'));
    const offered = missingLanguages(languages);
    return (
        <>
            <div className="fields">
                <TextField
                    label="Voice"
                    hint="Who is to read it: one recording sheet for each"
                    value={value.voice}
                    disabled={disabled}
                    error={props.error('/voice')}
                    onSave={(voice) => change({ ...value, voice })}
                />
                {saysOpening && (
                    <ElementField
                        label="Hours of which {opening} tells"
                        kind="hours"
                        value={value.hours}
                        none="those that the call came by last"
                        disabled={disabled}
                        error={props.error('/hours')}
                        onChange={(hours) => change({ ...value, hours })}
                    />
                )}
            </div>
            {languages.map((language) => (
                <div key={language}>
                    <ScriptSection
                        {...props}
                        language={language}
                        seconds={seconds?.[language]}
                        parts={parts?.[language]}
                    />
                    {!disabled && languages.length > 1 && !value.takes.some((take) => take.language === language) && (
                        <Button
                            size="small"
                            type="text"
                            onClick={() => change({ ...value, scripts: without(value.scripts, language) })}
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

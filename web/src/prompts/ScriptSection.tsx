import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { lazy, Suspense, useRef, useState } from 'react';
import type { Prompt } from '../api/types';
import { soundAddress } from '../sound/player';
import { ACCEPTED, ACCEPTED_WORDS } from '../sound/uploads';
import { useTakes } from '../sound/useTakes';
import type { EditorProps } from '../ui/ElementScreen';
import { Findings } from '../ui/Findings';
import { languageName } from '../ui/LanguageSelect';
import { TextField } from '../ui/TextField';
import { useFindings } from '../ui/useFindings';
import { KeptRecordingNotice } from './KeptRecordingNotice';
import { RecordDialog } from './RecordDialog';
import { Takes } from './Takes';
import { WordDifference } from './WordDifference';

const Waveform = lazy(() => import('../sound/Waveform'));

/** A prompt in one language: its words, how they sound, and what is odd about it. */
export function ScriptSection(props: EditorProps<Prompt> & { language: string; seconds: number | undefined }) {
    const { value, change, error, disabled, language, seconds } = props;
    const findings = useFindings(value.id);
    const place = value.takes.findIndex((take) => take.id === value.inUse[language]);
    const take = value.takes[place];
    const script = value.scripts[language] ?? '';
    const found = place < 0 ? [] : findings(`/takes/${place}`);
    const sound =
        take?.sound ?? (value.machine[language]?.words === script ? value.machine[language]?.sound : undefined);
    const isOther = found.some((one) => one.code === 'take-from-other-words');
    return (
        <section className="script" aria-label={`In ${languageName(language)}`}>
            <TextField
                wide
                label={`Script in ${languageName(language)}`}
                rows={3}
                value={script}
                disabled={disabled}
                error={error(`/scripts/${language}`)}
                hint={seconds ? `Callers hear it for ${seconds} s` : 'No words yet'}
                onSave={(words) => change({ ...value, scripts: { ...value.scripts, [language]: words } })}
            />
            <Findings found={found} />
            {isOther && take && <WordDifference before={take.words} now={script} />}
            {sound && (
                <Suspense fallback={<div style={{ height: 66 }} />}>
                    <Waveform source={soundAddress(sound)} label={`How it sounds in ${languageName(language)}`} />
                </Suspense>
            )}
            <Takes value={value} language={language} disabled={disabled} change={change} />
            {!disabled && <BringTakes value={value} language={language} />}
        </section>
    );
}

function BringTakes({ value, language }: { value: Prompt; language: string }) {
    const queries = useQueryClient();
    const { bring, isSending } = useTakes(value, language);
    const [isRecording, setIsRecording] = useState(false);
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <KeptRecordingNotice prompt={value} language={language} />
            <div className="line-row wrap">
                <Button size="small" onClick={() => setIsRecording(true)}>
                    Record in {languageName(language)} …
                </Button>
                <input
                    ref={input}
                    type="file"
                    accept={ACCEPTED}
                    className="hidden"
                    tabIndex={-1}
                    aria-label={`A recording in ${languageName(language)}`}
                    onChange={async (event) => {
                        const file = event.target.files?.[0];
                        if (file) await bring({ file, name: file.name, voice: value.voice, note: '', trim: true });
                        if (input.current) input.current.value = '';
                    }}
                />
                <Button size="small" loading={isSending} onClick={() => input.current?.click()}>
                    Bring in a file in {languageName(language)} …
                </Button>
                <span className="quiet">{ACCEPTED_WORDS}</span>
            </div>
            {isRecording && (
                <RecordDialog
                    prompt={value}
                    language={language}
                    onClose={() => {
                        setIsRecording(false);
                        queries.invalidateQueries({ queryKey: ['kept-recording', value.id, language] });
                    }}
                />
            )}
        </>
    );
}

import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { Suspense, useRef, useState } from 'react';
import type { Prompt } from '../api/types';
import { PlayPrompt } from '../sound/PlayButton';
import { soundAddress } from '../sound/player';
import { ACCEPTED, ACCEPTED_WORDS } from '../sound/uploads';
import { useTakes } from '../sound/useTakes';
import type { EditorProps } from '../ui/ElementScreen';
import { Findings } from '../ui/Findings';
import { FindingsAt, useFindingsAt } from '../ui/FindingsAt';
import { languageName } from '../ui/LanguageSelect';
import { whenShown } from '../ui/later';
import { KeptRecordingNotice } from './KeptRecordingNotice';
import { type Part, partKey } from './part';
import styles from './prompts.module.css';
import { RecordDialog } from './RecordDialog';
import { ScriptField } from './ScriptField';
import { Takes } from './Takes';
import { WordDifference } from './WordDifference';

const Waveform = whenShown(() => import('../sound/Waveform').then((part) => part.Waveform));

/** A prompt in one language: its words, how they sound, and what is odd about it. */
export function ScriptSection(
    props: EditorProps<Prompt> & { language: string; seconds: number | undefined; parts: string[] | undefined },
) {
    const { value, change, error, disabled, language, seconds, parts } = props;
    const script = value.scripts[language] ?? '';
    const several = parts && parts.length > 1;
    const spoken = languageName(language);
    return (
        <section className="script" aria-label={`In ${spoken}`}>
            <ScriptField
                label={`Script in ${spoken}`}
                value={script}
                disabled={disabled}
                error={error(`/scripts/${language}`)}
                hint={<Length seconds={seconds} hasBlanks={parts !== undefined} />}
                onSave={(words) => change({ ...value, scripts: { ...value.scripts, [language]: words } })}
            />
            <FindingsAt pointer={`/scripts/${language}`} />
            {parts && (
                <p className="line-row">
                    <PlayPrompt id={value.id} language={language} />
                    <span className="quiet">
                        with samples for its blanks; the parts around them are recorded one by one
                    </span>
                </p>
            )}
            {(parts ?? [script]).map((words, i) => (
                <PartSection
                    // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
                    key={i}
                    {...props}
                    part={{ language, number: i + 1, words, name: several ? `${spoken}, part ${i + 1}` : spoken }}
                    showsWords={parts !== undefined}
                />
            ))}
        </section>
    );
}

function Length({ seconds, hasBlanks }: { seconds: number | undefined; hasBlanks: boolean }) {
    if (!seconds) return 'No words yet';
    return hasBlanks ? `Callers hear it for about ${seconds} s` : `Callers hear it for ${seconds} s`;
}

function PartSection(props: EditorProps<Prompt> & { part: Part; showsWords: boolean }) {
    const { value, change, disabled, part, showsWords } = props;
    const place = value.takes.findIndex((take) => take.id === value.inUse[partKey(part)]);
    const take = value.takes[place];
    const found = useFindingsAt(place < 0 ? undefined : `/takes/${place}`);
    const machine = value.machine[partKey(part)];
    const sound = take?.sound ?? (machine?.words === part.words ? machine?.sound : undefined);
    const isOther = found.some((one) => one.code === 'take-from-other-words');
    return (
        <>
            {showsWords && <p className={styles.part}>“{part.words}”</p>}
            <Findings found={found} />
            {isOther && take && <WordDifference before={take.words} now={part.words} />}
            {sound && (
                <Suspense fallback={<div style={{ height: 66 }} />}>
                    <Waveform source={soundAddress(sound)} label={`How it sounds in ${part.name}`} />
                </Suspense>
            )}
            <Takes value={value} part={part} disabled={disabled} change={change} />
            {!disabled && <BringTakes value={value} part={part} />}
        </>
    );
}

function BringTakes({ value, part }: { value: Prompt; part: Part }) {
    const queries = useQueryClient();
    const { bring, isSending } = useTakes(value, part);
    const [isRecording, setIsRecording] = useState(false);
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <KeptRecordingNotice prompt={value} part={part} />
            <div className="line-row wrap">
                <Button size="small" onClick={() => setIsRecording(true)}>
                    Record in {part.name} …
                </Button>
                <input
                    ref={input}
                    type="file"
                    accept={ACCEPTED}
                    className="hidden"
                    tabIndex={-1}
                    aria-label={`A recording in ${part.name}`}
                    onChange={async (event) => {
                        const file = event.target.files?.[0];
                        if (file) await bring({ file, name: file.name, voice: value.voice, note: '', trim: true });
                        if (input.current) input.current.value = '';
                    }}
                />
                <Button size="small" loading={isSending} onClick={() => input.current?.click()}>
                    Bring in a file in {part.name} …
                </Button>
                <span className="quiet">{ACCEPTED_WORDS}</span>
            </div>
            {isRecording && (
                <RecordDialog
                    prompt={value}
                    part={part}
                    onClose={() => {
                        setIsRecording(false);
                        queries.invalidateQueries({ queryKey: ['kept-recording', value.id, partKey(part)] });
                    }}
                />
            )}
        </>
    );
}

import { Button, Checkbox, Input, Modal, Progress } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import type { Prompt } from '../api/types';
import { dropRecording, keepRecording } from '../sound/kept';
import { useRecorder } from '../sound/useRecorder';
import { useTakes } from '../sound/useTakes';
import { Field } from '../ui/Field';
import { type Part, partKey } from './part';
import styles from './prompts.module.css';

/** Reads the script from the screen into the microphone: count, read, stop, listen, again, keep. */
export function RecordDialog({ prompt, part, onClose }: { prompt: Prompt; part: Part; onClose: () => void }) {
    const key = partKey(part);
    const recorder = useRecorder();
    const { bring, isSending } = useTakes(prompt, part);
    const [voice, setVoice] = useState(prompt.voice);
    const [note, setNote] = useState('');
    const [trim, setTrim] = useState(true);
    const { recorded, state, count } = recorder;
    const source = useMemo(() => (recorded ? URL.createObjectURL(recorded) : undefined), [recorded]);
    useEffect(() => () => URL.revokeObjectURL(source ?? ''), [source]);
    useEffect(() => {
        // Kept at once: whatever happens to the page or the network, it is offered again.
        if (recorded)
            void keepRecording(prompt.id, key, { file: recorded, seconds: count, at: new Date().toISOString() });
    }, [recorded, prompt.id, key, count]);
    const keep = async () => {
        if (!recorded || !(await bring({ file: recorded, name: 'the recording', voice, note, trim }))) return;
        await dropRecording(prompt.id, key);
        onClose();
    };
    const again = async () => {
        await dropRecording(prompt.id, key);
        recorder.start();
    };
    return (
        <Modal
            open
            width={760}
            title={`Record “${prompt.name}” in ${part.name}`}
            onCancel={onClose}
            maskClosable={false}
            footer={null}
        >
            <p className={styles.reading} lang={part.language}>
                {part.words || 'There are no words yet.'}
            </p>
            <div className={styles.recorder} role="status" aria-live="polite">
                {state === 'counting' && (
                    <b className="figures">{count > 0 ? `Read in ${count} …` : 'Waiting for the microphone …'}</b>
                )}
                {state === 'recording' && <b className="figures alarm">● Recording, {count} s</b>}
                {state === 'recorded' && (
                    <b className="figures">Recorded, {count} s. Listen to it before you keep it.</b>
                )}
                {state === 'idle' && <span className="quiet">Start, wait for the count, and read.</span>}
                {state === 'refused' && <span className="alarm">{recorder.why}</span>}
            </div>
            {(state === 'counting' || state === 'recording') && (
                <Progress
                    percent={Math.round(recorder.level * 100)}
                    showInfo={false}
                    status={recorder.level > 0.97 ? 'exception' : 'normal'}
                    aria-label="How loud it is"
                />
            )}
            {state === 'recorded' && (
                <>
                    {/* biome-ignore lint/a11y/useMediaCaption: the script stands above */}
                    <audio controls src={source} className={styles.listen} aria-label="The recording" />
                    <div className="fields">
                        <Field label="Who reads">
                            {(a11y) => (
                                <Input id={a11y.id} value={voice} onChange={(event) => setVoice(event.target.value)} />
                            )}
                        </Field>
                        <Field label="Note" hint="To colleagues">
                            {(a11y) => (
                                <Input id={a11y.id} value={note} onChange={(event) => setNote(event.target.value)} />
                            )}
                        </Field>
                    </div>
                    <Checkbox checked={trim} onChange={(event) => setTrim(event.target.checked)}>
                        cut the silence at both ends
                    </Checkbox>
                </>
            )}
            <div className={styles.buttons}>
                {(state === 'idle' || state === 'refused') && (
                    <Button type="primary" onClick={recorder.start} autoFocus>
                        {state === 'refused' ? 'Try again' : 'Start'}
                    </Button>
                )}
                {(state === 'counting' || state === 'recording') && (
                    <Button type="primary" onClick={recorder.stop} autoFocus>
                        Stop
                    </Button>
                )}
                {state === 'recorded' && (
                    <>
                        <Button onClick={again} disabled={isSending}>
                            Again
                        </Button>
                        <Button type="primary" onClick={keep} loading={isSending} autoFocus>
                            Keep this take
                        </Button>
                    </>
                )}
            </div>
        </Modal>
    );
}

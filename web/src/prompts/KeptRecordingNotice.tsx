import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import type { Prompt } from '../api/types';
import { dropRecording, keptRecording } from '../sound/kept';
import { SoundButton } from '../sound/PlayButton';
import { useTakes } from '../sound/useTakes';

/** A recording that never reached the server is offered again. */
export function KeptRecordingNotice({ prompt, language }: { prompt: Prompt; language: string }) {
    const queries = useQueryClient();
    const { bring, isSending } = useTakes(prompt, language);
    const queryKey = ['kept-recording', prompt.id, language];
    const kept = useQuery({
        queryKey,
        queryFn: async () => (await keptRecording(prompt.id, language)) ?? null,
        networkMode: 'always',
    }).data;
    if (!kept) return null;
    const drop = async () => {
        await dropRecording(prompt.id, language);
        queries.invalidateQueries({ queryKey });
    };
    const send = async () => {
        if (await bring({ file: kept.file, name: 'the recording', voice: prompt.voice, note: '', trim: true }))
            await drop();
    };
    return (
        <div className="notice line-row wrap" role="status">
            <span>A recording of {kept.seconds} s was not sent. It is kept in this browser, and nowhere else.</span>
            <SoundButton
                name="the recording that was not sent"
                soundKey={queryKey.join('/')}
                find={() => URL.createObjectURL(kept.file)}
            />
            <Button size="small" type="primary" loading={isSending} onClick={send}>
                Send it now
            </Button>
            <Button size="small" onClick={drop}>
                Throw it away
            </Button>
        </div>
    );
}

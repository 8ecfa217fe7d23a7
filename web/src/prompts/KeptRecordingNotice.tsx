import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import type { Prompt } from '../api/types';
import { dropRecording, keptRecording } from '../sound/kept';
import { SoundButton } from '../sound/PlayButton';
import { useTakes } from '../sound/useTakes';
import { type Part, partKey } from './part';

/** A recording that never reached the server is offered again. */
export function KeptRecordingNotice({ prompt, part }: { prompt: Prompt; part: Part }) {
    const queries = useQueryClient();
    const { bring, isSending } = useTakes(prompt, part);
    const queryKey = ['kept-recording', prompt.id, partKey(part)];
    const kept = useQuery({
        queryKey,
        queryFn: async () => (await keptRecording(prompt.id, partKey(part))) ?? null,
        networkMode: 'always',
    }).data;
    if (!kept) return null;
    const drop = async () => {
        await dropRecording(prompt.id, partKey(part));
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
                find={() => [URL.createObjectURL(kept.file)]}
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

import { useCallback, useState } from 'react';
import { api, ask } from '../api/client';
import type { Prompt } from '../api/types';
import { useWrite } from '../plan/writes';
import type { Part } from '../prompts/part';
import { useWatchJobs } from '../ui/JobsNotice';
import { upload } from './uploads';

export interface NewTake {
    file: Blob;
    name: string;
    voice: string;
    note: string;
    trim: boolean;
}

/** Brings recordings to a prompt: each is sent, and made into a take in the background. */
export function useTakes(prompt: Prompt, part: Part) {
    const told = useWrite();
    const watchJobs = useWatchJobs();
    const [isSending, setIsSending] = useState(false);
    const bring = useCallback(
        async ({ file, ...about }: NewTake): Promise<boolean> => {
            setIsSending(true);
            const job = await told(async () => {
                const { language, number, words } = part;
                const body = { ...about, upload: await upload(file), language, part: number, words };
                return ask(
                    api.POST('/api/plans/draft/prompts/{id}/takes', { params: { path: { id: prompt.id } }, body }),
                );
            });
            setIsSending(false);
            if (!job) return false;
            watchJobs(job);
            return true;
        },
        [told, watchJobs, prompt, part],
    );
    return { bring, isSending };
}

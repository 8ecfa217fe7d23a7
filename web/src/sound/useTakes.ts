import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { api, ask } from '../api/client';
import type { Prompt } from '../api/types';
import { useWrite } from '../plan/writes';
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
export function useTakes(prompt: Prompt, language: string) {
    const told = useWrite();
    const queries = useQueryClient();
    const watchJobs = useWatchJobs();
    const [isSending, setIsSending] = useState(false);
    const bring = useCallback(
        async ({ file, ...about }: NewTake): Promise<boolean> => {
            setIsSending(true);
            const job = await told(async () => {
                const body = { ...about, upload: await upload(file), language, words: prompt.scripts[language] ?? '' };
                return ask(
                    api.POST('/api/plans/draft/prompts/{id}/takes', { params: { path: { id: prompt.id } }, body }),
                );
            });
            setIsSending(false);
            if (!job) return false;
            // A short one may be done before anybody looks.
            queries.setQueryData(['jobs'], (before: { jobs: unknown[] } | undefined) => ({
                jobs: [...(before?.jobs ?? []), job],
            }));
            watchJobs();
            return true;
        },
        [told, queries, watchJobs, prompt, language],
    );
    return { bring, isSending };
}

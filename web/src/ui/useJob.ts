import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Job } from '../api/types';
import { useWrite } from '../plan/writes';

const LOOK_AGAIN = 400;

export const isAtWork = (job: Job | undefined) => job?.state === 'waiting' || job?.state === 'running';

/** Long work in the background that belongs to one screen: how far it is, and what it was started for. */
export function useJob<For>() {
    const queries = useQueryClient();
    const told = useWrite();
    const [started, setStarted] = useState<{ job: number; for: For }>();
    const job = useQuery({
        queryKey: ['job', started?.job],
        queryFn: () => ask(api.GET('/api/jobs/{job}', { params: { path: { job: started?.job ?? 0 } } })),
        enabled: started !== undefined,
        refetchInterval: ({ state }) => (state.data && !isAtWork(state.data) ? false : LOOK_AGAIN),
    }).data;
    return {
        job,
        started: started?.for,
        start: async (what: For, make: () => Promise<Job>) => {
            const made = await told(make);
            if (made) setStarted({ job: made.id, for: what });
        },
        stop: async () => {
            if (!job) return;
            await ask(api.POST('/api/jobs/{job}/cancel', { params: { path: { job: job.id } } }));
            queries.invalidateQueries({ queryKey: ['job', job.id] });
        },
    };
}

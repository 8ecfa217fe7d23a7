import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Job } from '../api/types';
import { useWrite } from '../plan/writes';
import { useRemembered } from './useRemembered';

const LOOK_AGAIN = 400;

export const isAtWork = (job: Job | undefined) => job?.state === 'waiting' || job?.state === 'running';

/**
 * Long work in the background that belongs to one screen: how far it is, and what it was started for. Whoever comes back to the
 * screen finds it there; what is started anew puts an end to what was started before.
 */
export function useJob<For>(...name: string[]) {
    const queries = useQueryClient();
    const told = useWrite();
    const [started, setStarted] = useRemembered<{ job: number; for: For } | undefined>(['started', ...name], undefined);
    const job = useQuery({
        queryKey: ['job', started?.job],
        queryFn: () => ask(api.GET('/api/jobs/{job}', { params: { path: { job: started?.job ?? 0 } } })),
        enabled: started !== undefined,
        refetchInterval: ({ state }) => (state.data && !isAtWork(state.data) ? false : LOOK_AGAIN),
    }).data;
    const stop = async () => {
        if (!job || !isAtWork(job)) return;
        await ask(api.POST('/api/jobs/{job}/cancel', { params: { path: { job: job.id } } }));
        queries.invalidateQueries({ queryKey: ['job', job.id] });
    };
    return {
        job,
        started: started?.for,
        start: async (what: For, make: () => Promise<Job>) => {
            await stop();
            const made = await told(make);
            if (made) setStarted({ job: made.id, for: what });
        },
        stop,
    };
}

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Progress } from 'antd';
import { useCallback, useEffect, useState } from 'react';
import { api, ask } from '../api/client';
import type { Job } from '../api/types';
import { isAtWork } from './useJob';

const LOOK_AGAIN = 500;
const JOBS = ['jobs'];
const NONE: Job[] = [];
/** What changes the plan: whoever has something looked at or written sees it on its screen. */
const CHANGES_THE_PLAN: Job['kind'][] = ['people', 'callers', 'take', 'takes'];

/** Long work in the background, on every screen: how far it is, giving it up, and what came of it. */
export function JobsNotice() {
    const jobs = useQuery({ queryKey: JOBS, queryFn: () => ask(api.GET('/api/jobs')) }).data?.jobs ?? NONE;
    const [watched, setWatched] = useState<number[]>([]);
    useEffect(
        () =>
            setWatched((before) => {
                const fresh = jobs
                    .filter((job) => CHANGES_THE_PLAN.includes(job.kind))
                    .map((job) => job.id)
                    .filter((id) => !before.includes(id));
                return fresh.length === 0 ? before : [...before, ...fresh];
            }),
        [jobs],
    );
    const dismiss = (id: number) => setWatched((before) => before.filter((one) => one !== id));
    if (watched.length === 0) return null;
    return (
        <section className="jobs" aria-label="Work in the background">
            {watched.map((id) => (
                <JobLine key={id} id={id} onDismiss={() => dismiss(id)} />
            ))}
        </section>
    );
}

/** Something was started in the background: it is shown at once, also where it is done before anybody looks. */
export function useWatchJobs(): (job?: Job) => void {
    const queries = useQueryClient();
    return useCallback(
        (job) => {
            if (job)
                queries.setQueryData<{ jobs: Job[] }>(JOBS, (before) => ({ jobs: [...(before?.jobs ?? []), job] }));
            queries.invalidateQueries({ queryKey: JOBS });
        },
        [queries],
    );
}

function JobLine({ id, onDismiss }: { id: number; onDismiss: () => void }) {
    const queries = useQueryClient();
    const job = useQuery({
        queryKey: ['job', id],
        queryFn: () => ask(api.GET('/api/jobs/{job}', { params: { path: { job: id } } })),
        refetchInterval: ({ state }) => (state.data && !isAtWork(state.data) ? false : LOOK_AGAIN),
    }).data;
    const isDone = job?.state === 'done';
    useEffect(() => {
        if (isDone) queries.invalidateQueries({ queryKey: ['plan', 'draft'] });
    }, [isDone, queries]);
    if (!job) return null;
    const result = job.result as { label?: string; leftOut?: unknown[] } | null;
    const leftOut = result?.leftOut?.length ?? 0;
    const cancel = async () => {
        await ask(api.POST('/api/jobs/{job}/cancel', { params: { path: { job: id } } }));
        queries.invalidateQueries({ queryKey: ['job', id] });
    };
    return (
        <div className="job" role="status">
            <b>{job.label}</b>
            {isAtWork(job) && (
                <Progress
                    className="grow"
                    size="small"
                    aria-label={`${job.label}: how far it is`}
                    percent={job.of === 0 ? 0 : Math.round((100 * job.done) / job.of)}
                />
            )}
            {job.state === 'waiting' && <span className="quiet">waits</span>}
            {isDone && (
                <span className="grow">
                    is done: {result?.label}. Undo takes it back.
                    {leftOut > 0 &&
                        ` ${leftOut === 1 ? 'One file' : `${leftOut} files`} could not be read and ${leftOut === 1 ? 'is' : 'are'} left out.`}
                </span>
            )}
            {job.state === 'cancelled' && <span className="grow">was given up. Nothing was changed.</span>}
            {job.state === 'failed' && (
                <div className="grow alarm" role="alert">
                    was not done. Nothing was changed.
                    <ul className="pending">
                        {job.problems.slice(0, 5).map((one) => (
                            <li key={one.detail}>
                                {one.detail} {one.remedy}
                            </li>
                        ))}
                        {job.problems.length > 5 && <li>and {job.problems.length - 5} more</li>}
                    </ul>
                </div>
            )}
            {isAtWork(job) ? (
                <Button size="small" onClick={cancel}>
                    Give it up
                </Button>
            ) : (
                <Button size="small" onClick={onDismiss}>
                    Close
                </Button>
            )}
        </div>
    );
}

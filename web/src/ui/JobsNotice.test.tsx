// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Job } from '../api/types';
import { JobsNotice } from './JobsNotice';

afterEach(cleanup);

const job = (id: number, kind: Job['kind']) =>
    ({ id, kind, label: `Job ${id}`, state: 'running', done: 1, of: 4, result: null, problems: [] }) as unknown as Job;

test('what changes the plan is told of on every screen; what is looked at or written, on its own', () => {
    const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Number.POSITIVE_INFINITY } } });
    const jobs = [job(1, 'people'), job(2, 'brief'), job(3, 'impact'), job(4, 'takes')];
    queries.setQueryData(['jobs'], { jobs });
    for (const one of jobs) queries.setQueryData(['job', one.id], one);
    render(
        <QueryClientProvider client={queries}>
            <JobsNotice />
        </QueryClientProvider>,
    );
    expect(screen.getAllByRole('status').map((one) => one.querySelector('b')?.textContent)).toEqual(['Job 1', 'Job 4']);
});

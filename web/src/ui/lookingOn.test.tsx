// @vitest-environment jsdom
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { LeftToLook } from './LeftToLook';
import { lookingOn, useAtWork } from './lookingOn';

afterEach(cleanup);

function Looks({ look }: { look: () => number }) {
    const { data, isFetching } = useQuery({
        queryKey: ['looks'],
        queryFn: async () => look(),
        refetchInterval: lookingOn((left: number) => left),
    });
    const isAtWork = useAtWork(isFetching);
    return data === undefined ? null : data === 0 ? 'All' : <LeftToLook left={data} of="all" isAtWork={isAtWork} />;
}

const draw = (look: () => number) =>
    render(
        <QueryClientProvider client={new QueryClient()}>
            <Looks look={look} />
        </QueryClientProvider>,
    );

test('what is left is asked for until nothing is', async () => {
    const left = [2, 1, 0];
    const look = vi.fn(() => left.shift() ?? 9);
    draw(look);
    await screen.findByText('Looking on: one of all is left. This is not all.');
    await screen.findByText('All');
    await new Promise((later) => setTimeout(later, 200));
    expect(look).toHaveBeenCalledTimes(3);
});

test('who gets no further is not asked for ever', async () => {
    const look = vi.fn(() => 7);
    draw(look);
    await waitFor(() => expect(look).toHaveBeenCalledTimes(15), { timeout: 4000 });
    await screen.findByText('There was no time to look at 7 of all. This is not all.');
    expect(look).toHaveBeenCalledTimes(15);
});

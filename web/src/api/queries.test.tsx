// @vitest-environment jsdom
import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { LookingThrough } from '../ui/LookingThrough';
import { RefusedError } from './client';
import { newQueries } from './queries';
import { useFailed } from './useFailed';

afterEach(() => {
    cleanup();
    vi.useRealTimers();
});

const refused = (status: number, detail: string) =>
    Promise.reject(new RefusedError({ type: 'about:blank', title: 'Refused', status, detail }));

function Screen({ answer }: { answer: () => Promise<string> }) {
    const query = useQuery({ queryKey: ['year'], queryFn: answer });
    const { failure, askAgain } = useFailed();
    return (
        <>
            {failure && (
                <button type="button" onClick={askAgain}>
                    Ask again: {failure}
                </button>
            )}
            <LookingThrough what="the year" query={query} />
            {query.data}
        </>
    );
}

/** The screen, with a server that gives these answers, one after the other. */
function open(...answers: (() => Promise<string>)[]) {
    vi.useFakeTimers();
    const last = answers.pop() as () => Promise<string>;
    const answer = vi.fn(() => (answers.shift() ?? last)());
    render(
        <QueryClientProvider client={newQueries()}>
            <Screen answer={answer} />
        </QueryClientProvider>,
    );
    return answer;
}

const wait = (milliseconds: number) => act(() => vi.advanceTimersByTimeAsync(milliseconds));

it('asks again until the server is back, ever less often', async () => {
    const answer = open(
        () => refused(0, 'No connection'),
        () => refused(503, 'The database is away'),
        () => refused(502, 'No server'),
        async () => 'All is well',
    );
    await wait(900);
    expect(answer).toHaveBeenCalledTimes(1);
    await wait(200);
    expect(answer).toHaveBeenCalledTimes(2);
    await wait(2000);
    expect(answer).toHaveBeenCalledTimes(3);
    expect(screen.getByText('Looking through the year …')).toBeTruthy();
    await wait(4000);
    expect(screen.getByText('All is well')).toBeTruthy();
    expect(screen.queryByText('Looking through the year …')).toBeNull();
});

it('goes on for as long as it takes', async () => {
    const answer = open(() => refused(503, 'The database is away'));
    await wait(60_000);
    expect(answer.mock.calls.length).toBeGreaterThan(10);
    expect(answer.mock.calls.length).toBeLessThan(20);
    expect(screen.getByText('Looking through the year …')).toBeTruthy();
});

it('says at once what is refused', async () => {
    const answer = open(() => refused(422, 'There is no such number.'));
    await wait(10_000);
    expect(answer).toHaveBeenCalledTimes(1);
    expect(screen.getByText('There is no such number.')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
});

it('says what the server failed at, and asks again when told to', async () => {
    const answer = open(
        () => refused(500, 'Something went wrong.'),
        async () => 'All is well',
    );
    await wait(10_000);
    expect(answer).toHaveBeenCalledTimes(1);
    fireEvent.click(screen.getByRole('button', { name: 'Ask again: Something went wrong.' }));
    await wait(10);
    expect(screen.getByText('All is well')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
});

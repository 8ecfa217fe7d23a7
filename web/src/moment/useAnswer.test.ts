import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import type { Change, Trace, TrialCall } from '../api/types';
import { askAhead, shownCall, takeAnswer } from './useAnswer';

const call = (to: string): TrialCall => ({ in: 'draft', to, from: '', at: '2026-11-23T10:30:00' });
const trace = (sentence: string) => ({ sentence }) as Trace;
const saved = (answer: Trace | null, revision = 8, changed = 1) =>
    ({ revision, changed, answer }) as Change & { answer: Trace | null };

/** A draft at revision 7 with a call on screen, and what the server is asked. */
function onScreen(to: string) {
    const queries = new QueryClient();
    queries.setQueryData(['plan', 'draft'], { revision: 7, elements: [] });
    const screen = new QueryObserver<Trace>(queries, {
        queryKey: ['answer', call(to), 7, 'live'],
        queryFn: () => trace('before'),
    });
    screen.subscribe(() => undefined);
    const asked: TrialCall[] = [];
    vi.spyOn(api, 'POST').mockImplementation((async (_: string, { body }: { body: TrialCall }) => {
        asked.push(body);
        return { data: trace(`${body.to} asked anew`), response: new Response() };
    }) as unknown as typeof api.POST);
    const save = (change: Change & { answer: Trace | null }) => {
        const shown = shownCall(queries);
        if (!shown) throw new Error('No call is on screen.');
        return () => {
            takeAnswer(queries, shown, change);
            queries.setQueryData(['plan', 'draft'], { revision: change.revision, elements: [] });
            askAhead(queries);
        };
    };
    const answer = (dialled: string, revision = 8) =>
        queries.getQueryData<Trace>(['answer', call(dialled), revision, 'live'])?.sentence;
    return { screen, asked, save, answer };
}

afterEach(() => vi.restoreAllMocks());

test('the answer that came with an edit is there at once, and not asked for again', async () => {
    const { asked, save, answer } = onScreen('101');
    save(saved(trace('with the edit')))();
    expect(answer('101')).toBe('with the edit');
    await new Promise((resolve) => setTimeout(resolve));
    expect(asked).toEqual([]);
});

test('whoever looks at another call meanwhile gets the answer to that one', async () => {
    const { screen, asked, save, answer } = onScreen('101');
    const written = save(saved(trace('with the edit')));
    screen.setOptions({ queryKey: ['answer', call('102'), 7, 'live'], queryFn: () => trace('before') });
    written();
    await vi.waitFor(() => expect(answer('102')).toBe('102 asked anew'));
    expect(asked.map((one) => one.to)).toEqual(['102']);
});

test.each([
    ['it could not be tried with it', saved(null)],
    ['somebody else wrote meanwhile', saved(trace('with the edit'), 9)],
    ['other elements changed with it', saved(trace('with the edit'), 8, 2)],
])('where %s it is asked for anew', async (_, change) => {
    const { asked, save, answer } = onScreen('101');
    save(change)();
    await vi.waitFor(() => expect(answer('101', change.revision)).toBe('101 asked anew'));
    expect(asked.map((one) => one.to)).toEqual(['101']);
});

import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import type { Change, Element, Trace, TrialCall } from '../api/types';
import { askAhead, askEarly, takeEarly } from './useAnswer';

const call = (to: string): TrialCall => ({ in: 'draft', to, from: '', at: '2026-11-23T10:30:00' });
const trace = (sentence: string) => ({ sentence }) as Trace;
const change = (revision: number, changed = 1) => ({ revision, changed }) as Change;
const element = { id: 'team_port', kind: 'team' } as Element;

/** A draft at revision 7 with a call on screen, and what the server is asked. */
function onScreen(to: string) {
    const queries = new QueryClient();
    queries.setQueryData(['plan', 'draft'], { revision: 7, elements: [] });
    const shown = new QueryObserver<Trace>(queries, {
        queryKey: ['answer', call(to), 7, 'live'],
        queryFn: () => trace('before'),
    });
    shown.subscribe(() => undefined);
    const asked: TrialCall[] = [];
    vi.spyOn(api, 'POST').mockImplementation((async (_: string, { body }: { body: TrialCall }) => {
        asked.push(body);
        return { data: trace(`${body.to} with ${body.with?.id ?? 'nothing'}`), response: new Response() };
    }) as unknown as typeof api.POST);
    const save = () => queries.setQueryData(['plan', 'draft'], { revision: 8, elements: [] });
    const answer = (dialled: string) => queries.getQueryData<Trace>(['answer', call(dialled), 8, 'live'])?.sentence;
    return { queries, shown, asked, save, answer };
}

afterEach(() => vi.restoreAllMocks());

test('the answer that came while an edit was saved is there with it, and not asked for again', async () => {
    const { queries, asked, save, answer } = onScreen('101');
    const early = askEarly(queries, element);
    await early?.trace;
    const taken = takeEarly(queries, early, change(8));
    expect(answer('101')).toBe('101 with team_port');
    save();
    askAhead(queries, taken);
    await queries.fetchQuery({ queryKey: ['answer', call('101'), 8, 'live'], staleTime: 5000 });
    expect(asked.map((one) => one.with?.id)).toEqual(['team_port']);
});

test('whoever looks at another call meanwhile gets the answer to that one', async () => {
    const { queries, shown, asked, save, answer } = onScreen('101');
    const early = askEarly(queries, element);
    shown.setOptions({ queryKey: ['answer', call('102'), 7, 'live'], queryFn: () => trace('before') });
    const taken = takeEarly(queries, early, change(8));
    save();
    askAhead(queries, taken);
    await vi.waitFor(() => expect(answer('102')).toBe('102 with nothing'));
    expect(asked.map((one) => one.to)).toEqual(['101', '102']);
});

test.each([
    ['somebody else wrote meanwhile', change(9)],
    ['other elements changed with it', change(8, 2)],
])('where %s it is asked for anew', async (_, changed) => {
    const { queries } = onScreen('101');
    const early = askEarly(queries, element);
    await early?.trace;
    expect(takeEarly(queries, early, changed)).toBeUndefined();
});

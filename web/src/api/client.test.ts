import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, newKey, RefusedError, send } from './client';

const write = () => new Request('http://127.0.0.1/api/plans/draft/elements', { method: 'POST', body: '{}' });
const question = () => new Request('http://127.0.0.1/api/trial-calls', { method: 'POST', body: '{}' });
const answer = (status: number) => new Response('{}', { status });

describe('requests on their way', () => {
    const seen: Request[] = [];
    let answers: (Response | Error)[] = [];

    beforeEach(() => {
        vi.useFakeTimers();
        seen.length = 0;
        vi.stubGlobal('fetch', async (request: Request) => {
            seen.push(request);
            const next = answers.shift() ?? answer(200);
            if (next instanceof Error) throw next;
            return next;
        });
    });
    afterEach(() => {
        vi.useRealTimers();
        vi.unstubAllGlobals();
    });

    const sent = async (request: Request) => {
        const coming = send(request);
        coming.catch(() => undefined);
        await vi.runAllTimersAsync();
        return coming;
    };
    const keys = () => seen.map((one) => one.headers.get('Idempotency-Key'));

    it('carry a key where they write, and none where they only ask', async () => {
        answers = [];
        await sent(write());
        await sent(question());
        await sent(new Request('http://127.0.0.1/api/plans/draft'));
        expect(keys().map((key) => key !== null)).toEqual([true, false, false]);
        expect(keys()[0]).toMatch(/^"[0-9a-f-]{36}"$/);
    });

    it('are sent again under the same key when the answer is lost, or the server is away', async () => {
        answers = [new TypeError('lost'), answer(503), answer(201)];
        expect((await sent(write())).status).toBe(201);
        expect(new Set(keys()).size).toBe(1);
        expect(seen).toHaveLength(3);
    });

    it('keep the key that they were given', async () => {
        answers = [answer(502), answer(200)];
        const request = write();
        request.headers.set('Idempotency-Key', '"mine"');
        await sent(request);
        expect(keys()).toEqual(['"mine"', '"mine"']);
    });

    it('are given up after a while, with the last answer', async () => {
        answers = [answer(503), answer(503), answer(503)];
        expect((await sent(write())).status).toBe(503);
        answers = [new TypeError('1'), new TypeError('2'), new TypeError('3')];
        await expect(sent(write())).rejects.toThrow('3');
    });

    it('are not sent again when they were refused, or only ask', async () => {
        answers = [answer(412)];
        expect((await sent(write())).status).toBe(412);
        answers = [answer(503)];
        expect((await sent(question())).status).toBe(503);
        expect(seen).toHaveLength(2);
    });

    it('have keys of their own', () => {
        expect(newKey()).not.toBe(newKey());
    });
});

describe('answers', () => {
    const refused = async (status: number, error: unknown) => {
        try {
            await ask(Promise.resolve({ error, response: new Response('', { status }) }));
        } catch (problem) {
            return problem as RefusedError;
        }
        throw new Error('It was not refused.');
    };

    it('say why they refuse, and whether the same request may do later', async () => {
        const problem = {
            type: 'about:blank',
            title: 'Changed meanwhile',
            status: 412,
            detail: 'Somebody was faster.',
        };
        expect((await refused(412, problem)).message).toBe('Somebody was faster.');
        expect((await refused(412, problem)).isOffline).toBe(false);
        expect((await refused(503, { ...problem, status: 503 })).isOffline).toBe(true);
        expect((await refused(500, undefined)).problem.detail).toBe('The server gave no reason.');
    });

    it('that never come are told from refusals', async () => {
        await expect(ask(Promise.reject(new TypeError('gone')))).rejects.toMatchObject({ problem: { status: 0 } });
        expect(new RefusedError({ type: '', title: '', status: 0, detail: 'x' }).isOffline).toBe(true);
    });
});

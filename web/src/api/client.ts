import createClient from 'openapi-fetch';
import type { paths } from './schema';
import type { Problem } from './types';

/** What only asks, though by POST: nothing is lost when it comes twice. */
const QUESTION =
    /\/(trial-calls|ring-previews|week-text|typed-steps|directories|caller-lines|journey-maps|number-answers)([/.]|$)|\/(import|preview)$/;
/** A request whose answer was lost is sent again so soon, in milliseconds; then whoever asked is told. */
const AGAIN_AFTER = [300, 1000];
const AWAY = [502, 503, 504];

export const newKey = () => `"${crypto.randomUUID()}"`;

/** Writes carry a key, by which the server knows one that it did already: they can be sent again without harm. */
export async function send(request: Request): Promise<Response> {
    const isWrite = request.method !== 'GET' && !QUESTION.test(new URL(request.url).pathname);
    if (!isWrite) return fetch(request);
    if (!request.headers.has('Idempotency-Key')) request.headers.set('Idempotency-Key', newKey());
    for (const pause of AGAIN_AFTER) {
        const answer = await fetch(request.clone()).catch(() => undefined);
        if (answer && !AWAY.includes(answer.status)) return answer;
        await new Promise((goOn) => setTimeout(goOn, pause));
    }
    return fetch(request);
}

export const api = createClient<paths>({ baseUrl: '', fetch: send });

/** What the server refused, with its reasons; or that it could not be reached. */
export class RefusedError extends Error {
    constructor(readonly problem: Problem) {
        super(problem.detail);
    }

    /** The server, or its database, is away: the same request may do later. */
    get isOffline(): boolean {
        return this.problem.status === 0 || AWAY.includes(this.problem.status);
    }
}

const OFFLINE: Problem = {
    type: 'about:blank',
    title: 'No connection',
    status: 0,
    detail: 'The server cannot be reached.',
};

/** The data of an answer, or the problem thrown. */
export async function ask<T>(request: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
    let answer: { data?: T; error?: unknown; response: Response };
    try {
        answer = await request;
    } catch {
        throw new RefusedError(OFFLINE);
    }
    if (answer.data !== undefined) return answer.data;
    const problem = answer.error as Problem | undefined;
    throw new RefusedError(
        problem && typeof problem === 'object' && 'detail' in problem
            ? problem
            : {
                  ...OFFLINE,
                  status: answer.response.status,
                  title: 'Something went wrong',
                  detail: 'The server gave no reason.',
              },
    );
}

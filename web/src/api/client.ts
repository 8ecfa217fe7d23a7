import createClient from 'openapi-fetch';
import type { paths } from './schema';
import type { Problem } from './types';

export const api = createClient<paths>({ baseUrl: '' });

/** What the server refused, with its reasons; or that it could not be reached. */
export class RefusedError extends Error {
    constructor(readonly problem: Problem) {
        super(problem.detail);
    }

    get isOffline(): boolean {
        return this.problem.status === 0;
    }
}

const OFFLINE: Problem = {
    type: 'about:blank',
    title: 'No connection',
    status: 0,
    detail: 'The server cannot be reached. What you entered is kept here; try again when the connection is back.',
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

import { type Query, type QueryCacheNotifyEvent, useQueryClient } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { RefusedError } from './client';

/** The server is there, and did not manage to answer; what it refuses is told where it was asked. */
const isFailure = (error: Error | null) =>
    error !== null && !(error instanceof RefusedError && (error.isOffline || error.problem.status < 500));

const FAILED = {
    type: 'active',
    predicate: ({ state }: Query) => isFailure(state.error),
} as const;

/** Whether by what happened to a query there may be other failures on screen. */
const matters = (event: QueryCacheNotifyEvent) =>
    event.type === 'updated'
        ? event.action.type === 'error' || event.action.type === 'success'
        : event.type === 'observerAdded' || event.type === 'observerRemoved';

/** Why something on screen could not be looked up, and asking again for whatever could not. */
export function useFailed(): { failure: string | undefined; askAgain: () => void } {
    const queries = useQueryClient();
    const cache = queries.getQueryCache();
    const failure = useSyncExternalStore(
        useCallback((changed) => cache.subscribe((event) => matters(event) && changed()), [cache]),
        () => cache.findAll(FAILED)[0]?.state.error?.message,
    );
    return { failure, askAgain: () => queries.refetchQueries(FAILED) };
}

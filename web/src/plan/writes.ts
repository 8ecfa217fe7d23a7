import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';

const WRITE = ['write'];

interface How {
    /** Writes of one scope, an element's id, wait for each other: each names the revision that the one before made. */
    scope?: string;
    /** Whether whoever asked for it says why it failed; else it is said in one place (`Refusals`). */
    silent?: boolean;
}

/** Sends a write through the query client's mutations. */
export function write<T>(
    queries: QueryClient,
    work: () => Promise<T>,
    { scope, silent = false }: How = {},
): Promise<T> {
    const writes = queries.getMutationCache();
    // On its way before the screens draw what was edited, unless it has to wait.
    const isWaiting =
        scope !== undefined && writes.findAll({ status: 'pending' }).some((one) => one.options.scope?.id === scope);
    let begun = isWaiting ? undefined : work();
    begun?.catch(() => undefined);
    return writes
        .build(queries, {
            mutationKey: WRITE,
            mutationFn: () => {
                const sent = begun ?? work();
                begun = undefined;
                return sent;
            },
            meta: { silent },
            // Whether the server can be reached is seen by asking it, and what failed is not kept.
            networkMode: 'always',
            gcTime: 0,
            ...(scope === undefined ? {} : { scope: { id: scope } }),
        })
        .execute(undefined);
}

/** When everything that was sent has been answered. */
export function allWritten(queries: QueryClient): Promise<void> {
    const isDone = () => queries.isMutating({ mutationKey: WRITE }) === 0;
    if (isDone()) return Promise.resolve();
    return new Promise((resolve) => {
        const stop = queries.getMutationCache().subscribe(() => {
            if (!isDone()) return;
            stop();
            resolve();
        });
    });
}

/** A write whose failure is told in one place: null then. */
export function useWrite() {
    const queries = useQueryClient();
    return useCallback(
        <T>(work: () => Promise<T>, how: Pick<How, 'scope'> = {}): Promise<T | null> =>
            write(queries, work, how).catch(() => null),
        [queries],
    );
}

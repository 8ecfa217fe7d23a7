import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import { useWrite } from '../plan/writes';

const AT_ONCE = 50;

/** Editions, the latest first; older ones are fetched when they are wanted. */
export function useEditionsQuery() {
    return useInfiniteQuery({
        queryKey: ['editions'],
        queryFn: ({ pageParam: before }) =>
            ask(api.GET('/api/editions', { params: { query: { most: AT_ONCE, ...(before ? { before } : {}) } } })),
        initialPageParam: 0,
        getNextPageParam: (page) => {
            const oldest = page.editions.at(-1)?.number ?? 1;
            return oldest > 1 ? oldest : undefined;
        },
    });
}

export function useEditions() {
    return useEditionsQuery().data?.pages.flatMap((page) => page.editions) ?? [];
}

/** Takes an edition back before it comes into force. */
export function useRevoke() {
    const queries = useQueryClient();
    const told = useWrite();
    return useCallback(
        async (number: number) => {
            const params = { path: { number } };
            await told(() => ask(api.POST('/api/editions/{number}/revoke', { params, body: {} })));
            await queries.invalidateQueries({ queryKey: ['editions'] });
        },
        [queries, told],
    );
}

/** What publishing would change, and the revision of the draft that says so. */
export function usePending() {
    return useQuery({ queryKey: ['pending'], queryFn: () => ask(api.GET('/api/plans/draft/pending')) });
}

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { api, ask } from '../api/client';

const LOOK_EVERY = 15_000;
const LOOK_EVERY_WHEN_AWAY = 2_000;

export interface Server {
    /** Why it cannot do its work now; undefined while it can. */
    away?: string;
    /** What somebody must see to. */
    alarms: string[];
    /** When it was last seen at work, in milliseconds since 1970. */
    seenAt: number;
    lookAgain: () => void;
}

const NO_ALARMS: string[] = [];

/** How the server is: looked at now and then, and often while it is away. */
export function useServer(): Server {
    const queries = useQueryClient();
    const { data, error, dataUpdatedAt, failureReason } = useQuery({
        queryKey: ['ready'],
        queryFn: () => ask(api.GET('/api/ready')),
        refetchInterval: (query) => (query.state.status === 'error' ? LOOK_EVERY_WHEN_AWAY : LOOK_EVERY),
        refetchOnWindowFocus: 'always',
        networkMode: 'always',
        retry: false,
    });
    const lookAgain = useCallback(() => void queries.invalidateQueries({ queryKey: ['ready'] }), [queries]);
    const away = error?.message ?? failureReason?.message;
    return useMemo(
        () => ({ away, alarms: data?.alarms ?? NO_ALARMS, seenAt: error ? 0 : dataUpdatedAt, lookAgain }),
        [away, data, error, dataUpdatedAt, lookAgain],
    );
}

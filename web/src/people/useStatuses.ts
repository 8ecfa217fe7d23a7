import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import type { Status } from '../api/types';

const LOOK_EVERY = 30_000;

export const STATUSES: { value: Status; label: string }[] = [
    { value: 'available', label: 'available' },
    { value: 'away', label: 'away' },
    { value: 'do not disturb', label: 'do not disturb' },
    { value: 'on leave', label: 'on leave' },
    { value: 'signed out', label: 'signed out' },
];

/** What people say of themselves right now: live, effective at once. */
export function useStatuses() {
    const queries = useQueryClient();
    const query = useQuery({
        queryKey: ['statuses'],
        queryFn: () => ask(api.GET('/api/statuses')),
        refetchInterval: LOOK_EVERY,
        refetchOnWindowFocus: 'always',
    });
    const statuses = query.data?.statuses ?? [];
    const set = useCallback(
        async (person: string, status: Status, until: string | null) => {
            await ask(api.PUT('/api/statuses/{person}', { params: { path: { person } }, body: { status, until } }));
            await queries.invalidateQueries({ queryKey: ['statuses'] });
            await queries.invalidateQueries({ queryKey: ['answer'] });
        },
        [queries],
    );
    return { of: (person: string) => statuses.find((one) => one.person === person), set };
}

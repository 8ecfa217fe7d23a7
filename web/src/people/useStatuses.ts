import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import type { PersonStatus, Status } from '../api/types';

/** How often what others set is looked for: it changes live calls at once. */
const LOOK_EVERY = 15_000;

export const STATUSES: { value: Status; label: string }[] = [
    { value: 'available', label: 'available' },
    { value: 'away', label: 'away' },
    { value: 'do not disturb', label: 'do not disturb' },
    { value: 'on leave', label: 'on leave' },
    { value: 'signed out', label: 'signed out' },
];

function useStatusList() {
    const query = useQuery({
        queryKey: ['statuses'],
        queryFn: () => ask(api.GET('/api/statuses')),
        refetchInterval: LOOK_EVERY,
        refetchOnWindowFocus: 'always',
    });
    return query.data?.statuses ?? NONE;
}

const NONE: PersonStatus[] = [];

/** Changes with every status that is set or ends. */
export function useStatusStamp(): string {
    return useStatusList()
        .map((one) => `${one.person}:${one.status}:${one.until}`)
        .join();
}

/** What people say of themselves right now: live, effective at once. */
export function useStatuses() {
    const queries = useQueryClient();
    const statuses = useStatusList();
    const set = useCallback(
        async (person: string, status: Status, until: string | null) => {
            await ask(api.PUT('/api/statuses/{person}', { params: { path: { person } }, body: { status, until } }));
            await queries.invalidateQueries({ queryKey: ['statuses'] });
        },
        [queries],
    );
    return { of: (person: string) => statuses.find((one) => one.person === person), set };
}

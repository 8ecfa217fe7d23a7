import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import type { Override } from '../api/types';

/** How often others' overrides are looked for: they change live calls at once. */
const LOOK_EVERY = 15_000;

/** Hours that are forced into a state at this very moment, and those that were. */
export function useOverrides(): { on: Override[]; past: Override[] } {
    const query = useQuery({
        queryKey: ['overrides'],
        queryFn: () => ask(api.GET('/api/overrides')),
        refetchInterval: LOOK_EVERY,
        refetchOnWindowFocus: 'always',
    });
    return query.data ?? NONE;
}

const NONE = { on: [], past: [] };

/** Changes with every override that is set, ends or is lifted: answers are asked for again when it does. */
export function useOverrideStamp(): string {
    const { on, past } = useOverrides();
    return `${on.map((one) => one.id).join()}/${past.length}/${past[0]?.id ?? ''}`;
}

export interface NewOverride {
    hours: string;
    state: string;
    reason: string;
    ends: Override['ends'];
    at?: string;
}

export function useForce() {
    const queries = useQueryClient();
    const again = useCallback(() => queries.invalidateQueries({ queryKey: ['overrides'] }), [queries]);
    const force = useCallback(
        async (wanted: NewOverride): Promise<Override> => {
            const made = await ask(api.POST('/api/overrides', { body: wanted }));
            await again();
            return made;
        },
        [again],
    );
    const lift = useCallback(
        async (id: number): Promise<void> => {
            await ask(api.POST('/api/overrides/{id}/lift', { params: { path: { id } }, body: {} })).finally(again);
        },
        [again],
    );
    return { force, lift };
}

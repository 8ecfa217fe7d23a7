import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import type { SignInState } from '../api/types';

const KEY = ['sign-ins'];
/** Others sign in and out too. */
const LOOK_AGAIN = 15_000;

function useSignInList() {
    const { data } = useQuery({
        queryKey: KEY,
        queryFn: () => ask(api.GET('/api/sign-ins')),
        refetchInterval: LOOK_AGAIN,
    });
    return data?.signIns;
}

/** Changes whenever somebody signs in or out. */
export function useSignInStamp(): string {
    return (useSignInList() ?? []).map((one) => `${one.queue}:${one.person}:${one.state}`).join();
}

/** Who is signed in to which queue right now: live, effective at once. */
export function useSignIns() {
    const queries = useQueryClient();
    const signIns = useSignInList();
    const of = (queue: string, person: string) => signIns?.find((one) => one.queue === queue && one.person === person);
    const set = useCallback(
        async (queue: string, person: string, state: SignInState, reason: string) => {
            const body = { state, reason };
            const changed = await ask(
                api.PUT('/api/sign-ins/{queue}/{person}', { params: { path: { queue, person } }, body }),
            );
            queries.setQueryData(KEY, changed);
            queries.invalidateQueries({ queryKey: ['sign-in-log'] });
        },
        [queries],
    );
    return { of, set };
}

import { skipToken, useQuery, useQueryClient } from '@tanstack/react-query';

/** As useState, for what is still so when somebody comes back to a screen, or has the page loaded anew; of one window. */
export function useRemembered<T>(name: readonly string[], initial: T) {
    const queries = useQueryClient();
    const queryKey = ['remembered', ...name];
    const stored = `meandros.${queryKey.join('.')}`;
    const { data = initial } = useQuery<T>({
        queryKey,
        queryFn: skipToken,
        initialData: () => kept<T>(stored),
        gcTime: Number.POSITIVE_INFINITY,
    });
    const remember = (value: T) => {
        sessionStorage.setItem(stored, JSON.stringify(value));
        queries.setQueryData<T>(queryKey, value);
    };
    return [data, remember] as const;
}

function kept<T>(stored: string): T | undefined {
    const value = sessionStorage.getItem(stored);
    return value === null ? undefined : (JSON.parse(value) as T);
}

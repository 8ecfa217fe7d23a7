import { skipToken, useQuery, useQueryClient } from '@tanstack/react-query';

/** As useState, for what is still so when somebody comes back to a screen. */
export function useRemembered<T>(name: readonly string[], initial: T) {
    const queries = useQueryClient();
    const queryKey = ['remembered', ...name];
    const { data = initial } = useQuery<T>({ queryKey, queryFn: skipToken, gcTime: Number.POSITIVE_INFINITY });
    return [data, (value: T) => void queries.setQueryData<T>(queryKey, value)] as const;
}

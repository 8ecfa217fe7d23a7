import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';

export function useEditionsQuery() {
    return useQuery({ queryKey: ['editions'], queryFn: () => ask(api.GET('/api/editions')) });
}

export function useEditions() {
    return useEditionsQuery().data?.editions ?? [];
}

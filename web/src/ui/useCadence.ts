import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { usualSite } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';

/** Milliseconds of a ring, with its silence, at a site; without one, where most people work. */
export function useCadence(siteId?: string): number {
    const plan = usePlan();
    const { data } = useQuery({
        queryKey: ['ring-cadences'],
        queryFn: () => ask(api.GET('/api/ring-cadences')),
        staleTime: Number.POSITIVE_INFINITY,
    });
    const site = plan?.get('site', siteId) ?? (plan && usualSite(plan));
    return site?.cadence ?? data?.countries[site?.country ?? ''] ?? data?.usual ?? 5000;
}

import { usualSite } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { useCountries } from './countries';

/** Milliseconds of a ring, with its silence, at a site; without one, where most people work. */
export function useCadence(siteId?: string): number {
    const plan = usePlan();
    const known = useCountries();
    const site = plan?.get('site', siteId) ?? (plan && usualSite(plan));
    return site?.cadence ?? known?.countries[site?.country ?? '']?.cadence ?? known?.usualCadence ?? 5000;
}

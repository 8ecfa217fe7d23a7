import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { isFound } from './searched';

const NAMES = new Intl.DisplayNames(['en'], { type: 'region' });
const SHORT = new Intl.DisplayNames(['en'], { type: 'region', style: 'short' });

/** What a country is called, with the code that stands in files: "United Kingdom (GB)". */
export const countryName = (code: string) => (code ? `${NAMES.of(code) ?? code} (${code})` : '');

/** Whether a country is meant: by its name, its code, or as people say it for short, such as UK. */
export const isCountry = (code: string, typed: string) =>
    isFound(`${countryName(code)} ${code ? SHORT.of(code) : ''}`, typed);

/** Which clocks are kept in countries, and how long a ring is there. */
export function useCountries() {
    return useQuery({
        queryKey: ['countries'],
        queryFn: () => ask(api.GET('/api/countries')),
        staleTime: Number.POSITIVE_INFINITY,
    }).data;
}

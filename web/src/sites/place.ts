import type { Site } from '../api/types';

type Zones = Record<string, { zones: string[] }>;

/** The site with the clock of a zone; where that is not kept in its country, it is in the other one. */
export function withZone(site: Site, zone: string, countries: Zones): Site {
    const isKept = countries[site.country]?.zones.includes(zone);
    const other = Object.keys(countries).find((code) => countries[code]?.zones.includes(zone));
    return { ...site, zone, country: isKept ? site.country : (other ?? site.country) };
}

/** The site in a country; where only one clock is kept there, with that. */
export function withCountry(site: Site, country: string, countries: Zones): Site {
    const [first, ...others] = countries[country]?.zones ?? [];
    return { ...site, country, zone: first !== undefined && others.length === 0 ? first : site.zone };
}

/** Zones to choose from: those of the country first. */
export function zonesFor(site: Site, countries: Zones): string[] {
    return [...new Set([...(countries[site.country]?.zones ?? []), site.zone, ...Intl.supportedValuesOf('timeZone')])];
}

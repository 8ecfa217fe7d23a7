import { describe, expect, it } from 'vitest';
import type { Site } from '../api/types';
import { withCountry, withZone, zonesFor } from './place';

const SITE: Site = {
    id: 'sit_quay',
    kind: 'site',
    name: 'Quay',
    zone: 'Europe/London',
    country: 'GB',
    language: 'en',
    address: '',
    cadence: null,
    parkPlaces: [],
};
const COUNTRIES = {
    GB: { zones: ['Europe/London'] },
    IE: { zones: ['Europe/Dublin'] },
    US: { zones: ['America/Denver', 'America/New_York'] },
};
const place = ({ zone, country }: Site) => [zone, country];

describe('where a site is', () => {
    it('follows a zone into its country', () => {
        expect(place(withZone(SITE, 'Europe/Dublin', COUNTRIES))).toEqual(['Europe/Dublin', 'IE']);
        const denver = { ...SITE, zone: 'America/Denver', country: 'US' };
        expect(place(withZone(denver, 'America/New_York', COUNTRIES))).toEqual(['America/New_York', 'US']);
    });

    it('stays where a zone is no country’s', () => {
        expect(place(withZone(SITE, 'UTC', COUNTRIES))).toEqual(['UTC', 'GB']);
        expect(place(withZone(SITE, 'Europe/Dublin', {}))).toEqual(['Europe/Dublin', 'GB']);
    });

    it('keeps the clock of a country that has one', () => {
        expect(place(withCountry(SITE, 'IE', COUNTRIES))).toEqual(['Europe/Dublin', 'IE']);
        expect(place(withCountry(SITE, 'US', COUNTRIES))).toEqual(['Europe/London', 'US']);
        expect(place(withCountry(SITE, 'AQ', COUNTRIES))).toEqual(['Europe/London', 'AQ']);
    });

    it('offers the clocks of its country first, each once', () => {
        const zones = zonesFor({ ...SITE, country: 'US' }, COUNTRIES);
        expect(zones.slice(0, 3)).toEqual(['America/Denver', 'America/New_York', 'Europe/London']);
        expect(new Set(zones).size).toBe(zones.length);
    });
});

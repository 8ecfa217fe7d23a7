import { expect, it } from 'vitest';
import { countryName, isCountry } from './countries';

it('finds countries as people call them', () => {
    expect(countryName('GB')).toBe('United Kingdom (GB)');
    for (const typed of ['uk', 'GB', 'united k', 'kingdom']) expect(isCountry('GB', typed)).toBe(true);
    expect(isCountry('CI', 'cote')).toBe(true);
    expect(isCountry('FR', 'uk')).toBe(false);
    expect([countryName(''), isCountry('', 'fr')]).toEqual(['', false]);
});

import { expect, it } from 'vitest';
import { placeOf } from './findingPlaces';

it('shows a finding at the place that is nearest to its cause', () => {
    const places = ['/phones', '/phones/1', '/rules/0'];
    expect(placeOf('/phones/1/number', places)).toBe('/phones/1');
    expect(placeOf('/phones/10', places)).toBe('/phones');
    expect(placeOf('/rules/0', places)).toBe('/rules/0');
    expect(placeOf('/rules', places)).toBeUndefined();
});

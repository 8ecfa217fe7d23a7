import { describe, expect, it } from 'vitest';
import { nowIn } from './now';

describe('the time that it is', () => {
    it('starts now, on the clock of the zone', () => {
        expect(nowIn('Europe/London')).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:00$/);
        const [tokyo, london] = [nowIn('Asia/Tokyo'), nowIn('Europe/London')].map((text) => Date.parse(`${text}Z`));
        expect([8, 9]).toContain(Math.round(((tokyo ?? 0) - (london ?? 0)) / 3_600_000));
    });

    it('is told where the address names a zone that there is not', () => {
        expect(nowIn('Mars')).toBe(nowIn(''));
    });
});

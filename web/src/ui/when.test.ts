import { describe, expect, it } from 'vitest';
import { clockWords, dateWords, momentWords } from './when';

describe('moments in words', () => {
    it('are read as they are written, whatever the zone of this computer', () => {
        expect(dateWords('2026-12-25T23:30:00-03:30')).toBe('Fri 25 Dec 2026');
        expect(dateWords('2026-12-25', false)).toBe('Fri 25 Dec');
        expect(clockWords('2026-12-25T23:30:00-03:30')).toBe('23:30');
        expect(clockWords('2026-12-25T23:30:07Z')).toBe('23:30:07');
    });

    it('leave out what is the same as beside it', () => {
        expect(momentWords('2026-12-25T18:00:00Z', '2026-12-25T09:00:00Z')).toBe('18:00');
        expect(momentWords('2026-12-26T18:00:00Z', '2026-12-25T09:00:00Z')).toBe('Sat 26 Dec 18:00');
        expect(momentWords('2027-01-01T18:00:00Z', '2026-12-25T09:00:00Z')).toBe('Fri 1 Jan 2027 18:00');
    });
});

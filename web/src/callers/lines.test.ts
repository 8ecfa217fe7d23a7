import { describe, expect, it } from 'vitest';
import { countOf, entriesOf, lineOf, withLine } from './lines';

const LINES = '+4420*\tLondon\n+442079460000\t\tAccount\nwithheld';

describe('lines of a list of callers', () => {
    it('come back as they were', () => {
        expect(entriesOf(LINES)).toEqual([
            { match: '+4420*', name: 'London', label: '' },
            { match: '+442079460000', name: '', label: 'Account' },
            { match: 'withheld', name: '', label: '' },
        ]);
        expect(entriesOf(LINES).map(lineOf).join('\n')).toBe(LINES);
        const list = { id: 'clr_one', kind: 'callers' as const, name: 'One' };
        expect([countOf({ ...list, entries: LINES }), countOf({ ...list, entries: '' })]).toEqual([3, 0]);
        expect(countOf({ ...list, sizes: { entries: 4 } })).toBe(4);
        expect(entriesOf('')).toEqual([]);
    });

    it('hold no tab of their own', () => {
        expect(lineOf({ match: 'GB', name: 'a\tb', label: ' ' })).toBe('GB\ta b');
    });

    it('are changed one by one', () => {
        expect(withLine(LINES, '+4420*', { match: '+4420*', name: 'The city', label: '' })).toContain(
            '+4420*\tThe city\n+44207',
        );
        expect(withLine(LINES, 'withheld', null)).toBe('+4420*\tLondon\n+442079460000\t\tAccount');
    });
});

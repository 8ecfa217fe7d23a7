import { expect, it } from 'vitest';
import { shortened, textParts } from './textParts';

const told = (before: string, now: string) =>
    textParts(before, now)
        .map((part) => ('same' in part ? part.same : `[${part.gone}|${part.come}]`))
        .join('');

it.each([
    ['Lost property hours', 'Things that were found hours'],
    ['Press 1 for bookings', 'Press 1 for reservations'],
    ['a b c', 'a b c'],
    ['x a', 'y b'],
    ['old', ''],
    ['', 'new'],
    ['one two three four', 'one zwei three vier'],
])('both texts can be read from the parts of "%s" and "%s"', (before, now) => {
    const parts = textParts(before, now);
    expect(parts.map((part) => ('same' in part ? part.same : part.gone)).join('')).toBe(before);
    expect(parts.map((part) => ('same' in part ? part.same : part.come)).join('')).toBe(now);
});

it('words that change next to each other are one change', () => {
    expect(told('x Lost property, y', 'x Found things, y')).toBe('x [Lost property|Found things], y');
    expect(told('one two three four', 'one zwei three vier')).toBe('one [two|zwei] three [four|vier]');
});

it('what is far from a change is left out', () => {
    const long = 'x'.repeat(50) + 'y'.repeat(50);
    expect(shortened(long, true, false)).toBe(`${'x'.repeat(40)}…`);
    expect(shortened(long, true, true)).toBe(`${'x'.repeat(40)}…${'y'.repeat(40)}`);
    expect(shortened('short', false, true)).toBe('short');
});

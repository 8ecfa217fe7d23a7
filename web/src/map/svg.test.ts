// @vitest-environment jsdom
import { expect, test } from 'vitest';
import { standalone, wrapped } from './svg';

test('words are broken between them, and what does not fit ends in dots', () => {
    expect(wrapped('ring Bookings desk 25s', 29, 2)).toEqual(['ring Bookings desk 25s']);
    expect(wrapped('menu Head office menu, wait 5 s, 2 tries', 29, 2)).toEqual([
        'menu Head office menu, wait 5',
        's, 2 tries',
    ]);
    expect(wrapped('one two three four', 8, 2)).toEqual(['one two', 'three…']);
    expect(wrapped('Llanfairpwllgwyngyll', 8, 2)).toEqual(['Llanfai…']);
    expect(wrapped('', 8, 1)).toEqual(['']);
});

test('a picture that is kept is XML with colours of its own', () => {
    document.body.innerHTML = '<svg><rect fill="var(--ink, #16323a)"/><text>Fish &amp; chips</text></svg>';
    const text = standalone(document.querySelector('svg') as SVGElement);
    const read = new DOMParser().parseFromString(text, 'image/svg+xml');
    expect(read.querySelector('parsererror')).toBeNull();
    expect(read.documentElement.namespaceURI).toBe('http://www.w3.org/2000/svg');
    expect(text).toContain('#16323a');
    expect(text).not.toContain('var(');
});

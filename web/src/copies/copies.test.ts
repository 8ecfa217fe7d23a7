import { expect, it } from 'vitest';
import type { Copyable } from '../api/types';
import { nameLike, usedByCopies } from './copies';

const one = (id: string, ...mentions: string[]): Copyable => ({
    id,
    kind: 'journey',
    name: id,
    mentions,
    kinds: ['journey'],
    without: [],
});

it('shows what is used by what is copied, and goes round in no circle', () => {
    const all = [one('a', 'b', 'c'), one('b', 'd', 'a'), one('c', 'd'), one('d')];
    const ids = (choices: Parameters<typeof usedByCopies>[1]) => usedByCopies(all, choices).map(({ id }) => id);
    expect(ids({})).toEqual(['b', 'c']);
    expect(ids({ b: { is: 'copy' } })).toEqual(['b', 'c', 'd']);
    expect(ids({ c: { is: 'other', id: 'x' }, d: { is: 'copy' } })).toEqual(['b', 'c']);
});

it.each([
    ['Bookings line', 'Groups line', 'Bookings hours', 'Groups hours'],
    ['Bookings line', 'Groups and coaches line', 'Bookings queue', 'Groups and coaches queue'],
    ['Bookings line', 'Groups', 'Bookings hours', 'Bookings hours, copy'],
    ['Bookings line', 'Bookings line, copy', 'Bookings hours', 'Bookings hours, copy'],
    ['Port', 'Quay', 'Ports closed', 'Ports closed, copy'],
    ['Port', 'Quay', 'All of Port closed', 'All of Quay closed'],
    ['Port', '', 'Port closed', 'Port closed, copy'],
])('a copy of %s as %s: %s as %s', (of, name, other, like) => {
    expect(nameLike(of, name, other)).toBe(like);
});

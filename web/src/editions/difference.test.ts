import { expect, test } from 'vitest';
import { differences, placeWords, valueWords } from './difference';

const journey = (seconds: number, more: object[] = []) => ({
    name: 'Bookings',
    steps: [{ id: 's1', do: 'ring', seconds, target: 'team_one', exits: [] }, ...more],
});

test('a field that changed is told with its place, before and after', () => {
    expect(differences(journey(20), journey(25))).toEqual([
        { pointer: '/steps/0/seconds', place: 'steps › ring › seconds', before: 20, after: 25 },
    ]);
});

test('an entry that came or went is one difference', () => {
    const end = { id: 's2', do: 'end' };
    expect(differences(journey(20), journey(20, [end]))).toEqual([
        { pointer: '/steps/1', place: 'steps › end', before: undefined, after: end },
    ]);
    expect(differences(journey(20, [end]), journey(20))).toEqual([
        { pointer: '/steps/1', place: 'steps › end', before: end, after: undefined },
    ]);
});

test('places are said by names, and by their position where there is none', () => {
    const hours = { specialDays: [{ date: '2026-12-24', bands: [{ from: '09:00' }] }] };
    expect(placeWords('/specialDays/0/bands/0/from', hours)).toBe('special days › 2026-12-24 › bands › 1. › from');
    expect(placeWords('/a~1b', {})).toBe('a/b');
});

test('values are said in words', () => {
    const name = (id: string) => (id === 'per_dana' ? 'Dana' : undefined);
    const words = ['', null, true, false, 5, 'per_dana', 'x', { label: 'Mobile' }, { who: 'per_dana' }].map((one) =>
        valueWords(one, name),
    );
    expect(words).toEqual(['nothing', 'nothing', 'yes', 'no', '5', 'Dana', 'x', 'Mobile', 'Dana']);
    expect(valueWords({ long: 'x'.repeat(100) }, name)).toHaveLength(80);
});

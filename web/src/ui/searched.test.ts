import { expect, test } from 'vitest';
import { BY_LABEL, isFound } from './searched';

test('accents, capitals and the order of words do not count', () => {
    expect(isFound('Inès Marchand', 'ines')).toBe(true);
    expect(isFound('Ines Carreira', 'Carr INÈS')).toBe(true);
    expect(isFound('Inès Marchand', 'ines x')).toBe(false);
    expect(isFound('anything', ' ')).toBe(true);
});

test('a number is found however it is dialled', () => {
    const label = 'Bookings · +44 1632 960110';
    for (const typed of ['01632 960 110', '+441632960110', '0044 1632 960110', '960110'])
        expect(isFound(label, typed), typed).toBe(true);
    expect(isFound(label, '01632 960111')).toBe(false);
    // Too few digits are words.
    expect(isFound(label, '00')).toBe(false);
});

test('pickers find options by their labels', () => {
    expect(BY_LABEL.filterOption('ines', { label: 'Inès Marchand' })).toBe(true);
    expect(BY_LABEL.filterOption('ines', {})).toBe(false);
});

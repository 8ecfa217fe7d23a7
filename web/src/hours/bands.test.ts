import { describe, expect, it } from 'vitest';
import type { WeekBand } from '../api/types';
import { daysInWords, paint, toSeconds, toTime, understandTime } from './bands';

const H = 3600;
const week: WeekBand[] = [{ days: ['mo', 'tu'], from: '09:00', to: '17:00', state: 'open' }];
const words = (bands: WeekBand[]) =>
    bands.map((band) => `${daysInWords(band.days)} ${band.from}–${band.to} ${band.state}`);

describe('painting hours', () => {
    it('cuts a lunch break out of a band', () => {
        expect(words(paint(week, [0], 12 * H, 13 * H, 'lunch'))).toEqual([
            'Mon 09:00–12:00 open',
            'Mon 12:00–13:00 lunch',
            'Mon 13:00–17:00 open',
            'Tue 09:00–17:00 open',
        ]);
    });

    it('joins what touches in the same state', () => {
        expect(words(paint(week, [0, 1], 17 * H, 18 * H, 'open'))).toEqual(['Mon, Tue 09:00–18:00 open']);
    });

    it('wipes with nothing', () => {
        expect(words(paint(week, [0], 0, 24 * H, null))).toEqual(['Tue 09:00–17:00 open']);
    });

    it('takes the place of what ran in from the night before, and leaves the rest where it lies', () => {
        const night: WeekBand[] = [{ days: ['su'], from: '22:00', to: '30:00', state: 'open' }];
        expect(words(paint(night, [0], 1 * H, 2 * H, 'lunch'))).toEqual([
            'Mon 01:00–02:00 lunch',
            'Mon 02:00–06:00 open',
            'Sun 22:00–25:00 open',
        ]);
    });

    it('paints what was wiped back to what it was', () => {
        expect(paint(paint(week, [0, 1], 10 * H, 11 * H, null), [0, 1], 10 * H, 11 * H, 'open')).toEqual(week);
    });
});

describe('times of day', () => {
    it('are read and written to the second, also past midnight', () => {
        expect(toSeconds('26:00')).toBe(26 * H);
        expect(toTime(toSeconds('9:05:30') ?? 0)).toBe('09:05:30');
        expect(toSeconds('9.30')).toBeNull();
    });

    it('are understood as people type them', () => {
        expect(['9', '930', '9.30', '17:30:15', '1630'].map(understandTime)).toEqual([
            '09:00',
            '09:30',
            '09:30',
            '17:30:15',
            '16:30',
        ]);
        expect(understandTime('noon')).toBeNull();
    });

    it('name days in a row as a range', () => {
        expect(daysInWords(['mo', 'tu', 'we', 'th', 'fr'])).toBe('Mon–Fri');
        expect(daysInWords(['mo', 'we'])).toBe('Mon, Wed');
    });
});

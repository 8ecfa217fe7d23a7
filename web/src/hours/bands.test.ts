import { describe, expect, it } from 'vitest';
import type { WeekBand } from '../api/types';
import { daysInWords, paint, toSeconds, toTime, typed, understandTime } from './bands';

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

describe('typed bands', () => {
    const band = (from: string, to: string, state: string) => ({ from, to, state });
    const week: WeekBand[] = [
        { days: ['mo', 'tu'], ...band('08:00', '20:00', 'open') },
        { days: ['mo'], ...band('20:00', '22:00', 'late') },
    ];

    it('take the place of those days’ bands in the same state, and leave other days alone', () => {
        expect(typed(week, [{ days: ['mo'], bands: [band('09:00', '17:00', 'open')] }])).toEqual([
            { days: ['mo'], ...band('09:00', '17:00', 'open') },
            { days: ['mo'], ...band('20:00', '22:00', 'late') },
            { days: ['tu'], ...band('08:00', '20:00', 'open') },
        ]);
    });

    it('cut a break out of bands in other states', () => {
        expect(
            typed(week, [{ days: ['tu'], bands: [band('12:00', '13:00', 'lunch')] }]).filter((one) =>
                one.days.includes('tu'),
            ),
        ).toEqual([
            { days: ['tu'], ...band('08:00', '12:00', 'open') },
            { days: ['tu'], ...band('12:00', '13:00', 'lunch') },
            { days: ['tu'], ...band('13:00', '20:00', 'open') },
        ]);
    });

    it('run past midnight over what the next day begins with', () => {
        const night = typed(
            [{ days: ['tu'], ...band('01:00', '05:00', 'late') }],
            [{ days: ['mo'], bands: [band('22:00', '26:00', 'open')] }],
        );
        expect(night).toEqual([
            { days: ['mo'], ...band('22:00', '26:00', 'open') },
            { days: ['tu'], ...band('02:00', '05:00', 'late') },
        ]);
    });

    it('may be typed for several nights in a row', () => {
        const nights = typed([], [{ days: ['fr', 'sa'], bands: [band('22:00', '30:00', 'open')] }]);
        expect(nights).toEqual([{ days: ['fr', 'sa'], ...band('22:00', '30:00', 'open') }]);
    });
});

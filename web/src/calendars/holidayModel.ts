import type { Day, Holiday, HolidayRule } from '../api/types';
import { unique } from '../plan/unique';
import { plain } from '../ui/searched';

/** The kinds of rule, in the words of the screen. */
export const RULE_NAMES: Record<HolidayRule['on'], string> = {
    yearly: 'every year on a date',
    'nth weekday': 'a weekday of a month',
    easter: 'counted from Easter',
    'weekday near': 'a weekday near a date',
    dates: 'on particular dates',
    range: 'from one date to another',
};

export const EASTER_DAYS = [
    { value: -47, label: 'Shrove Tuesday (47 days before)' },
    { value: -3, label: 'Maundy Thursday (3 days before)' },
    { value: -2, label: 'Good Friday (2 days before)' },
    { value: 0, label: 'Easter Sunday' },
    { value: 1, label: 'Easter Monday (1 day after)' },
    { value: 39, label: 'Ascension (39 days after)' },
    { value: 49, label: 'Whit Sunday (49 days after)' },
    { value: 50, label: 'Whit Monday (50 days after)' },
    { value: 60, label: 'Corpus Christi (60 days after)' },
];

export const SUBSTITUTES = [
    { value: 'next working day', label: 'the next working day' },
    { value: 'next monday', label: 'the next Monday' },
    { value: 'nearest weekday', label: 'the nearest weekday' },
    { value: 'day before', label: 'the day before' },
    { value: 'day after', label: 'the day after' },
] as const;

/** A rule of a kind to begin with, near the date that people are looking at. */
export function ruleOf(on: HolidayRule['on'], date: string): HolidayRule {
    const monthDay = date.slice(5, 10);
    const month = Number(date.slice(5, 7)) || 1;
    const weekday = 'mo' as Day;
    if (on === 'yearly') return { on, date: monthDay };
    if (on === 'nth weekday') return { on, nth: 1, weekday, month };
    if (on === 'easter') return { on, days: 1, church: 'western' };
    if (on === 'weekday near') return { on, weekday, side: 'on or before', date: monthDay };
    if (on === 'dates') return { on, dates: [date] };
    return { on, from: date, to: date };
}

/** A holiday of a name that is not there yet. */
export function newHoliday(name: string, date: string, others: Holiday[]): Holiday {
    return {
        id: freeId(name, others),
        name,
        rule: { on: 'yearly', date: date.slice(5, 10) },
        substitute: null,
        part: null,
        years: { from: null, to: null, except: [] },
    };
}

function freeId(name: string, others: Holiday[]): string {
    const key = plain(name)
        .replaceAll(/[^a-z0-9]+/g, '_')
        .replaceAll(/^[^a-z]+|_+$/g, '')
        .slice(0, 50);
    const base = key.length < 2 ? 'holiday' : key;
    const id = unique(
        base,
        others.map((one) => one.id),
        '_',
    );
    return id;
}

/** "2020, 2022" as years; what is no year is passed over. */
export function yearsOf(text: string): number[] {
    return text
        .split(/[^0-9]+/)
        .map(Number)
        .filter((year) => year >= 1900 && year <= 2500);
}

import type { Band, Day, WeekBand } from '../api/types';

export const DAYS: Day[] = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
export const DAY_NAMES: Record<Day, string> = {
    mo: 'Monday',
    tu: 'Tuesday',
    we: 'Wednesday',
    th: 'Thursday',
    fr: 'Friday',
    sa: 'Saturday',
    su: 'Sunday',
};
export const DAY_SECONDS = 86400;

/** A stretch of one day in a state, in seconds since its midnight; an end past 24:00 runs into the next day. */
export interface Stretch {
    from: number;
    to: number;
    state: string;
}

export function toSeconds(text: string): number | null {
    const part = /^(\d{1,2}):([0-5]\d)(?::([0-5]\d))?$/.exec(text.trim());
    return part ? Number(part[1]) * 3600 + Number(part[2]) * 60 + Number(part[3] ?? 0) : null;
}

export function toTime(seconds: number): string {
    const two = (value: number) => String(value).padStart(2, '0');
    const text = `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}`;
    return seconds % 60 === 0 ? text : `${text}:${two(seconds % 60)}`;
}

/** A time as people type it: 9, 930, 9.30, 9:30, 17:30:15. */
export function understandTime(text: string): string | null {
    const bare = /^(\d{1,2})(\d{2})?$/.exec(text.trim());
    const seconds = toSeconds(bare ? `${bare[1]}:${bare[2] ?? '00'}` : text.replaceAll('.', ':'));
    return seconds === null ? null : toTime(seconds);
}

export function stretchesByDay(week: WeekBand[]): Stretch[][] {
    return DAYS.map((day) => week.filter((band) => band.days.includes(day)).flatMap((band) => stretch(band)));
}

export function stretch(band: { from: string; to: string; state: string }): Stretch[] {
    const [from, to] = [toSeconds(band.from), toSeconds(band.to)];
    return from === null || to === null ? [] : [{ from, to, state: band.state }];
}

/** Takes a stretch out of others, leaving what is left on either side. */
function cut(stretches: Stretch[], from: number, to: number): Stretch[] {
    return stretches.flatMap((one) => {
        if (one.to <= from || one.from >= to) return [one];
        const left = one.from < from ? [{ ...one, to: from }] : [];
        const right = one.to > to ? [{ ...one, from: to }] : [];
        return [...left, ...right];
    });
}

function joined(stretches: Stretch[]): Stretch[] {
    const done: Stretch[] = [];
    for (const one of stretches.toSorted((a, b) => a.from - b.from)) {
        const last = done.at(-1);
        if (last && last.to === one.from && last.state === one.state) done[done.length - 1] = { ...last, to: one.to };
        else done.push(one);
    }
    return done;
}

/** Paints a stretch of some days over whatever was there, also what ran in from the day before; null wipes it. */
export function paint(week: WeekBand[], days: number[], from: number, to: number, state: string | null): WeekBand[] {
    let byDay = stretchesByDay(week);
    for (const day of days) {
        const before = (day + 6) % 7;
        const spilled = cut(byDay[before] ?? [], from + DAY_SECONDS, to + DAY_SECONDS);
        // What is left of the night after a cut belongs to the day that it lies on.
        const stays = spilled.filter((one) => one.from < DAY_SECONDS);
        const moves = spilled
            .filter((one) => one.from >= DAY_SECONDS)
            .map((one) => ({ ...one, from: one.from - DAY_SECONDS, to: one.to - DAY_SECONDS }));
        byDay = byDay.with(before, stays);
        const painted = [
            ...cut([...(byDay[day] ?? []), ...moves], from, to),
            ...(state === null ? [] : [{ from, to, state }]),
        ];
        byDay = byDay.with(day, joined(painted));
    }
    return toWeek(byDay);
}

/** Equal stretches of several days become one band, in order of their first day. */
function toWeek(byDay: Stretch[][]): WeekBand[] {
    const bands = new Map<string, WeekBand>();
    byDay.forEach((stretches, i) => {
        const day = DAYS[i];
        for (const one of day ? stretches : []) {
            const key = `${one.from}-${one.to}-${one.state}`;
            const band = bands.get(key) ?? { days: [], from: toTime(one.from), to: toTime(one.to), state: one.state };
            if (day) band.days.push(day);
            bands.set(key, band);
        }
    });
    return [...bands.values()];
}

export function daysInWords(days: Day[]): string {
    const short = (day: Day) => DAY_NAMES[day].slice(0, 3);
    const first = days[0];
    const last = days.at(-1);
    if (!first || !last) return 'no day';
    const inARow = DAYS.indexOf(last) - DAYS.indexOf(first) === days.length - 1;
    return days.length > 2 && inARow ? `${short(first)}–${short(last)}` : days.map(short).join(', ');
}

/** Sets typed bands: they take the place of the days' bands in the same states, and lie over those in others. */
export function typed(week: WeekBand[], entries: { days: Day[]; bands: Band[] }[]): WeekBand[] {
    let next = week;
    for (const entry of entries) {
        const states = new Set(entry.bands.map((band) => band.state));
        next = next.flatMap((band) => {
            const days = states.has(band.state) ? band.days.filter((day) => !entry.days.includes(day)) : band.days;
            return days.length > 0 ? [{ ...band, days }] : [];
        });
        for (const band of entry.bands) {
            for (const one of stretch(band)) {
                const days = entry.days.map((day) => DAYS.indexOf(day));
                next = paint(next, days, one.from, Math.min(one.to, DAY_SECONDS), one.state);
                if (one.to > DAY_SECONDS) next = lengthened(next, entry.days, one);
            }
        }
    }
    return next;
}

/** What was painted up to midnight runs on into the next day, over what that day begins with. */
function lengthened(week: WeekBand[], days: Day[], whole: Stretch): WeekBand[] {
    const after = days.map((day) => (DAYS.indexOf(day) + 1) % 7);
    const cleared = paint(week, after, 0, whole.to - DAY_SECONDS, null);
    return toWeek(
        stretchesByDay(cleared).map((stretches, i) => {
            const day = DAYS[i];
            return day && days.includes(day)
                ? stretches.map((one) =>
                      one.to === DAY_SECONDS && one.state === whole.state ? { ...one, to: whole.to } : one,
                  )
                : stretches;
        }),
    );
}

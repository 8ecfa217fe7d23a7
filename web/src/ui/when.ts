/** Dates and moments in words, for reading. The texts are ISO 8601; nothing is moved between zones here. */

export function dateWords(date: string, year = true): string {
    const day = new Date(`${date.slice(0, 10)}T12:00:00Z`);
    if (Number.isNaN(day.getTime())) return date;
    return day
        .toLocaleDateString('en-GB', {
            weekday: 'short',
            day: 'numeric',
            month: 'short',
            ...(year ? { year: 'numeric' } : {}),
            timeZone: 'UTC',
        })
        .replace(',', '');
}

/** The clock of a moment: 09:30, or 09:30:15 where there are seconds. */
export function clockWords(moment: string): string {
    return moment.slice(17, 19) === '00' || moment.length < 19 ? moment.slice(11, 16) : moment.slice(11, 19);
}

/** A moment beside another on the same wall clock: only the time when it is on the same day. */
export function momentWords(moment: string, beside?: string): string {
    return moment.slice(0, 10) === beside?.slice(0, 10)
        ? clockWords(moment)
        : `${dateWords(moment, moment.slice(0, 4) !== beside?.slice(0, 4))} ${clockWords(moment)}`;
}

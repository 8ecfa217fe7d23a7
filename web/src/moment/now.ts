/** Now, on this computer's clock as it is in the zone, to the minute; where there is no such zone, in the computer's own. */
export function nowIn(zone: string): string {
    const format = (timeZone?: string) =>
        new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(new Date());
    let now: string;
    try {
        now = format(zone || undefined);
    } catch {
        now = format();
    }
    return `${now.replace(' ', 'T')}:00`;
}

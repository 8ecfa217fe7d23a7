import type { TrialCall } from '../api/types';

/**
 * What is pressed at one menu after the other: "12" is two keys; "2@3, 201" is 2 after 3 s, then an extension; "201," is that
 * extension alone; "bookings@4" says a word after 4 s, and where a word is said, only commas part one from the next.
 */
export function keyPresses(text: string): NonNullable<NonNullable<TrialCall['assume']>['keys']> {
    if (/\p{L}/u.test(text)) {
        return text
            .split(',')
            .map((one) => one.trim())
            .filter((one) => /[\p{L}0-9*#]/u.test(one.split('@')[0] ?? ''))
            .map(pressOrWord);
    }
    if (!/[\s,@]/.test(text)) return [...text.replaceAll(/[^0-9*#]/g, '')];
    return text
        .split(/[\s,]+/)
        .filter((one) => /[0-9*#]/.test(one.split('@')[0] ?? ''))
        .map((one) => {
            const [keys = '', after] = one.split('@');
            const press = keys.replaceAll(/[^0-9*#]/g, '');
            return after ? { press, after: Number(after) || 0 } : press;
        });
}

function pressOrWord(text: string) {
    const [what = '', after] = text.split('@');
    const when = after ? { after: Number(after) || 0 } : {};
    if (/\p{L}/u.test(what)) return { says: what.trim(), ...when };
    const press = what.replaceAll(/[^0-9*#]/g, '');
    return after ? { press, ...when } : press;
}

/** "0@6, #": 0 after 6 s at the first step that has keys, # at the next; "-" is nothing at one. */
export function pressesMeanwhile(text: string): { press: string; after: number | null }[] {
    return text
        .split(/[\s,]+/)
        .filter(Boolean)
        .map((one) => {
            const [keys = '', after] = one.split('@');
            return { press: keys.replaceAll(/[^0-9*#]/g, ''), after: after ? Number(after) || 0 : null };
        });
}

import { diffWordsWithSpace } from 'diff';

/** What stays, or what goes and what comes in its place. */
export type TextPart = { same: string } | { gone: string; come: string };

/** Two texts word by word; words that change next to each other are one change. */
export function textParts(before: string, now: string): TextPart[] {
    const parts: TextPart[] = [];
    /** Between two words that change; it belongs to both changes where another follows. */
    let space = '';
    for (const { value, added, removed } of diffWordsWithSpace(before, now)) {
        const last = parts.at(-1);
        if (!added && !removed) {
            if (last && 'gone' in last && value.trim() === '') space = value;
            else {
                parts.push({ same: space + value });
                space = '';
            }
        } else if (last && 'gone' in last) {
            last.gone += space + (removed ? value : '');
            last.come += space + (added ? value : '');
            space = '';
        } else parts.push({ gone: removed ? value : '', come: added ? value : '' });
    }
    return space === '' ? parts : [...parts, { same: space }];
}

/** So much of what stays is shown on either side of a change, where not all of it is. */
const AROUND = 40;

/** The ends of a text that stays, as far as they are next to a change. */
export function shortened(text: string, isAfter: boolean, isBefore: boolean): string {
    if (text.length <= (Number(isAfter) + Number(isBefore)) * AROUND + 1) return text;
    return `${isAfter ? text.slice(0, AROUND) : ''}…${isBefore ? text.slice(-AROUND) : ''}`;
}

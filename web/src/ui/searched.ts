/** Numbers as people type them, and codes. */
const DIALLED = /^[+*#\d][\d\s().*#-]+$/;

/** Accents and capitals do not count where something is looked for. */
export const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** What is typed as it would be dialled; null for words. */
export function dialled(typed: string): string | null {
    return DIALLED.test(typed.trim()) ? typed.trim().replace(/[\s().-]/g, '') : null;
}

/** Within the country a number is dialled with a 0 in front, from outside with + or 00 and the country's code. */
export const inAnyCountry = (number: string) => number.replace(/^(\+|00|0)/, '');

/** Whether a text has all the words that are looked for, in any order, or the number, however it is written. */
export function isFound(text: string, wanted: string): boolean {
    const inText = plain(text);
    const number = inAnyCountry(dialled(wanted) ?? '');
    return (
        plain(wanted)
            .trim()
            .split(/\s+/)
            .every((word) => inText.includes(word)) ||
        (number.length > 2 && text.replace(/\D/g, '').includes(number))
    );
}

/** How pickers find what is typed. */
export const BY_LABEL = {
    filterOption: (typed: string, option?: { label?: unknown }) => isFound(String(option?.label ?? ''), typed),
};

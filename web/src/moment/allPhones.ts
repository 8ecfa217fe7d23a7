import type { Assumed } from './moment';

type Does = 'busy' | 'unreachable' | 'refuses';

const WORDS: Record<Does, string> = {
    busy: 'every phone is busy',
    unreachable: 'no phone can be reached',
    refuses: 'everybody refuses at once',
};

/** "where every phone is busy, or no phone can be reached". */
export const allPhonesInWords = (does: Does[]) => `where ${does.map((one) => WORDS[one]).join(', or ')}`;

/** What the bar assumes where all phones do it. */
export const allPhones = (does: Does): Assumed[] => [{ who: '*', does, after: does === 'refuses' ? 0 : null }];

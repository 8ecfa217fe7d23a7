import type { TraceEvent } from '../api/types';

/** A stretch of what a caller hears, and the event that it belongs to. */
export interface Stretch {
    event: number;
    hears: 'prompt' | 'words' | 'music' | 'ringing' | 'beep' | 'silence';
    prompt?: string;
    language?: string;
    /** What is said without a prompt. */
    words?: string;
    /** What fills the blanks of the prompt. */
    filled?: Filled[];
    /** For which it is played; what takes longer in the call is shortened. */
    seconds: number;
}

/** The words that fill a blank. */
export interface Filled {
    blank: string;
    words: string;
}

/** Words by blank, as they are asked for. */
export const filledBy = (filled: Filled[] = []) => Object.fromEntries(filled.map(({ blank, words }) => [blank, words]));

/** So long is ringing, music and silence listened to; then it goes on (nobody wants to wait as callers do). */
const RINGING = 6;
const MUSIC = 6;
const SILENCE = 0.7;
const BEEP = 0.5;
/** What is said over music, to its end. */
const WORDS = 20;

type What = {
    prompt?: string | null;
    greeting?: string | null;
    language?: string | null;
    seconds?: number;
    filled?: Filled[];
    words?: string;
    target?: string | null;
    pieces?: string[];
    beeps?: boolean;
};

/** The call from its start to its end, as a caller would hear it. */
export function soundtrack(events: TraceEvent[], language: string): Stretch[] {
    const stretches: Stretch[] = [];
    for (const [event, { kind, what, second }] of events.entries()) {
        const until = events[event + 1]?.second ?? second;
        const is = what as What;
        const spoken = is.language ?? language;
        let heard = 0;
        const add = (stretch: Omit<Stretch, 'event'>, lasts: number) => {
            if (stretch.seconds > 0) stretches.push({ event, ...stretch });
            heard += lasts;
        };
        const prompt = is.prompt ?? is.greeting;
        const seconds = is.seconds ?? 0;
        if (kind === 'music begins' && is.pieces?.[0])
            add(
                { hears: 'music', prompt: is.pieces[0], language: spoken, seconds: Math.min(MUSIC, until - second) },
                until - second,
            );
        else if (prompt) {
            const filled = is.filled?.length ? { filled: is.filled } : {};
            add({ hears: 'prompt', prompt, language: spoken, ...filled, seconds }, seconds);
        } else if (is.words) add({ hears: 'words', words: is.words, language: spoken, seconds: WORDS }, 0);
        else if (is.target !== undefined) add({ hears: 'ringing', seconds: Math.min(RINGING, seconds) }, seconds);
        if (is.beeps) add({ hears: 'beep', seconds: BEEP }, 0);
        if (until - second - heard >= 1) add({ hears: 'silence', seconds: SILENCE }, 0);
    }
    return stretches;
}

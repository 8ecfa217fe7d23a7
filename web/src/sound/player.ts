import { useSyncExternalStore } from 'react';

/** What is heard now: one sound at a time in the whole application. */
interface Playing {
    key: string;
    /** Whether it is heard already: fetching takes a moment. */
    isHeard: boolean;
}

let playing: Playing | undefined;
let audio: HTMLAudioElement | undefined;
const listeners = new Set<() => void>();

function set(next: Playing | undefined): void {
    playing = next;
    for (const listener of listeners) listener();
}

export function stop(): void {
    audio?.pause();
    audio = undefined;
    set(undefined);
}

/** Finds the addresses of what is to be heard, one after the other. */
export type FindSounds = () => Promise<string[]> | string[];

/** Plays what the addresses name; `find` may take its time. The same key again stops it. */
export async function play(key: string, find: FindSounds): Promise<void> {
    const isOn = playing?.key === key;
    stop();
    if (isOn) return;
    set({ key, isHeard: false });
    try {
        const [first = '', ...rest] = await find();
        if (playing?.key !== key) return;
        audio = new Audio(first);
        const heard = audio;
        heard.onended = () => {
            const next = rest.shift();
            if (next === undefined) return stop();
            heard.src = next;
            void heard.play();
        };
        await heard.play();
        if (playing?.key === key) set({ key, isHeard: true });
    } catch (error) {
        if (playing?.key !== key) return;
        stop();
        throw error;
    }
}

export function usePlaying(): Playing | undefined {
    return useSyncExternalStore(
        (listener) => {
            listeners.add(listener);
            return () => listeners.delete(listener);
        },
        () => playing,
    );
}

export const soundAddress = (sha256: string) => `/api/sounds/${sha256}.wav`;

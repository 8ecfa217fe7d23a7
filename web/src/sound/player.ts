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

/** Plays what the address names; `find` may take its time. The same key again stops it. */
export async function play(key: string, find: () => Promise<string> | string): Promise<void> {
    const isOn = playing?.key === key;
    stop();
    if (isOn) return;
    set({ key, isHeard: false });
    try {
        const source = await find();
        if (playing?.key !== key) return;
        audio = new Audio(source);
        audio.onended = stop;
        await audio.play();
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

import { del, get, set } from 'idb-keyval';

/** A recording that was not sent yet: kept in this browser, whatever becomes of the page. */
export interface KeptRecording {
    file: Blob;
    seconds: number;
    at: string;
}

const key = (prompt: string, part: string) => `recording/${prompt}/${part}`;

export const keepRecording = (prompt: string, part: string, kept: KeptRecording) => set(key(prompt, part), kept);
export const keptRecording = (prompt: string, part: string) => get<KeptRecording>(key(prompt, part));
export const dropRecording = (prompt: string, part: string) => del(key(prompt, part));

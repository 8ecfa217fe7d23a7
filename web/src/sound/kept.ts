import { del, get, set } from 'idb-keyval';

/** A recording that was not sent yet: kept in this browser, whatever becomes of the page. */
export interface KeptRecording {
    file: Blob;
    seconds: number;
    at: string;
}

const key = (prompt: string, language: string) => `recording/${prompt}/${language}`;

export const keepRecording = (prompt: string, language: string, kept: KeptRecording) =>
    set(key(prompt, language), kept);
export const keptRecording = (prompt: string, language: string) => get<KeptRecording>(key(prompt, language));
export const dropRecording = (prompt: string, language: string) => del(key(prompt, language));

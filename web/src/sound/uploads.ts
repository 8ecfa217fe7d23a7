import { RefusedError } from '../api/client';
import type { Problem } from '../api/types';

const MOST_BYTES = 50_000_000;
/** What is taken, as a file dialog asks for it; the server looks at what is inside. */
export const ACCEPTED = '.wav,.mp3,.flac,.ogg,.oga,.opus,.m4a,.aac,.webm,audio/*';
export const ACCEPTED_WORDS = 'WAV, MP3, FLAC, OGG or Opus, M4A or AAC; 15 minutes and 50 MB at most';

const refused = (status: number, title: string, detail: string) =>
    new RefusedError({ type: 'about:blank', title, status, detail } as Problem);

/** Sends a file; its name on the server comes back. */
export async function upload(file: Blob): Promise<string> {
    if (file.size > MOST_BYTES)
        throw refused(413, 'The file is too large', `It has ${Math.round(file.size / 1e6)} MB; 50 MB may come in.`);
    const id = [...crypto.getRandomValues(new Uint8Array(16))].map((one) => one.toString(16).padStart(2, '0')).join('');
    let answer: Response;
    try {
        answer = await fetch(`/api/uploads/${id}`, {
            method: 'PUT',
            headers: { 'Content-Type': 'application/octet-stream' },
            body: file,
        });
    } catch {
        throw refused(0, 'No connection', 'The server cannot be reached. Nothing is lost: send it again.');
    }
    if (!answer.ok) {
        const problem = (await answer.json().catch(() => undefined)) as Problem | undefined;
        throw refused(
            answer.status,
            problem?.title ?? 'It was not taken',
            problem?.detail ?? 'The server gave no reason.',
        );
    }
    return id;
}

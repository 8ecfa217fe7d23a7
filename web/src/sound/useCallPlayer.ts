import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask } from '../api/client';
import type { Trace } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { soundAddress, stop as stopSound } from './player';
import { bursts, type RingTone, ringTone } from './ringTones';
import { filledBy, type Stretch, soundtrack } from './soundtrack';

const BEEP: RingTone = { hertz: [1000], cadence: [60] };
const LOUD = 0.15;
/** Seconds that a place in a queue takes to be told, about. */
const SAID = 4;

/** The event that is heard, and for how many seconds it is. */
export interface Playhead {
    event: number;
    seconds: number;
}

/** Plays the trial call from start to end as its caller would hear it; tells what is heard. */
export function useCallPlayer(trace: Trace | undefined, country: string | undefined) {
    const { moment } = useMoment();
    const [head, setHead] = useState<Playhead>();
    const context = useRef<AudioContext | undefined>(undefined);

    const stop = useCallback(() => {
        void context.current?.close();
        context.current = undefined;
        setHead(undefined);
    }, []);
    useEffect(() => stop, [stop]);
    // biome-ignore lint/correctness/useExhaustiveDependencies: another call is another sound
    useEffect(stop, [trace]);

    const play = useCallback(async () => {
        if (!trace) return;
        stopSound();
        const sound = new AudioContext();
        context.current = sound;
        const isOn = () => context.current === sound;
        const stretches = soundtrack(trace.events, trace.shown.language);
        const fetched = new Map<string, Promise<AudioBuffer[]>>();
        const find = (stretch: Stretch) => {
            const key = JSON.stringify([stretch.prompt, stretch.words, stretch.language, stretch.filled]);
            const found = fetched.get(key) ?? fetchSound(sound, moment.in, stretch);
            fetched.set(key, found);
            return found;
        };
        for (const [i, stretch] of stretches.entries()) {
            if (!isOn()) return;
            if (stretch.event !== stretches[i - 1]?.event)
                setHead({ event: stretch.event, seconds: lasting(stretches, i) });
            // The next one is fetched while this one is heard.
            const next = stretches[i + 1];
            if (next && isSpoken(next)) void find(next);
            if (isSpoken(stretch)) {
                let left = stretch.seconds;
                for (const buffer of await find(stretch)) {
                    if (!isOn()) return;
                    await playBuffer(sound, buffer, left);
                    left -= buffer.duration;
                    if (left <= 0) break;
                }
            } else if (stretch.hears === 'ringing') await playTone(sound, ringTone(country), stretch.seconds);
            else if (stretch.hears === 'beep') await playTone(sound, BEEP, stretch.seconds);
            else await pause(stretch.seconds);
        }
        if (isOn()) stop();
    }, [trace, country, moment.in, stop]);

    return { head, play, stop, isOn: head !== undefined };
}

const isSpoken = ({ prompt, words }: Stretch) => prompt !== undefined || words !== undefined;

/** For how long the event of a stretch is heard from there on. */
function lasting(stretches: Stretch[], from: number): number {
    let seconds = 0;
    for (let i = from; stretches[i]?.event === stretches[from]?.event; i++)
        seconds += stretches[i]?.hears === 'words' ? SAID : (stretches[i]?.seconds ?? 0);
    return seconds;
}

/** Silence, where nothing can be heard of it. */
async function fetchSound(sound: AudioContext, which: string, stretch: Stretch): Promise<AudioBuffer[]> {
    try {
        const { pieces } = await findPieces(which, stretch);
        return await Promise.all(
            pieces.map(async (piece) => {
                const bytes = await (await fetch(soundAddress(piece.sound))).arrayBuffer();
                return sound.decodeAudioData(bytes);
            }),
        );
    } catch {
        return [];
    }
}

function findPieces(which: string, { prompt, words, language = 'en', filled }: Stretch) {
    if (prompt === undefined)
        return ask(api.GET('/api/spoken', { params: { query: { language, words: words ?? '' } } }));
    const params = { path: { which, id: prompt }, query: { language, ...filledBy(filled) } };
    return ask(api.GET('/api/plans/{which}/prompts/{id}/sound', { params }));
}

const pause = (seconds: number) => new Promise((resolve) => setTimeout(resolve, seconds * 1000));

function playBuffer(sound: AudioContext, buffer: AudioBuffer, seconds: number): Promise<unknown> {
    const source = sound.createBufferSource();
    source.buffer = buffer;
    source.connect(sound.destination);
    source.start(0, 0, seconds);
    return pause(Math.min(seconds, buffer.duration));
}

function playTone(sound: AudioContext, tone: RingTone, seconds: number): Promise<unknown> {
    const volume = sound.createGain();
    volume.gain.value = 0;
    volume.connect(sound.destination);
    const now = sound.currentTime;
    for (const { from, to } of bursts(tone, seconds)) {
        volume.gain.setValueAtTime(LOUD, now + from);
        volume.gain.setValueAtTime(0, now + to);
    }
    for (const hertz of tone.hertz) {
        const source = sound.createOscillator();
        source.frequency.value = hertz;
        source.connect(volume);
        source.start(now);
        source.stop(now + seconds);
    }
    return pause(seconds);
}

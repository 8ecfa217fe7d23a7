import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask } from '../api/client';
import type { Trace } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { soundAddress, stop as stopSound } from './player';
import { bursts, type RingTone, ringTone } from './ringTones';
import { type Stretch, soundtrack } from './soundtrack';

const BEEP: RingTone = { hertz: [1000], cadence: [60] };
const LOUD = 0.15;

/** Plays the trial call from start to end as its caller would hear it; tells which event is heard. */
export function useCallPlayer(trace: Trace | undefined, country: string | undefined) {
    const { moment } = useMoment();
    const [event, setEvent] = useState<number>();
    const context = useRef<AudioContext | undefined>(undefined);

    const stop = useCallback(() => {
        void context.current?.close();
        context.current = undefined;
        setEvent(undefined);
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
        const fetched = new Map<string, Promise<AudioBuffer | null>>();
        const find = (stretch: Stretch) => {
            const key = `${stretch.prompt}/${stretch.language}`;
            const found = fetched.get(key) ?? fetchSound(sound, moment.in, stretch);
            fetched.set(key, found);
            return found;
        };
        for (const [i, stretch] of stretches.entries()) {
            if (!isOn()) return;
            setEvent(stretch.event);
            // The next one is fetched while this one is heard.
            const next = stretches[i + 1];
            if (next?.prompt) void find(next);
            if (stretch.prompt) {
                const buffer = await find(stretch);
                if (!isOn()) return;
                if (buffer) await playBuffer(sound, buffer, stretch.seconds);
            } else if (stretch.hears === 'ringing') await playTone(sound, ringTone(country), stretch.seconds);
            else if (stretch.hears === 'beep') await playTone(sound, BEEP, stretch.seconds);
            else await pause(stretch.seconds);
        }
        if (isOn()) stop();
    }, [trace, country, moment.in, stop]);

    return { event, play, stop, isOn: event !== undefined };
}

/** Silence, where nothing can be heard of the prompt. */
async function fetchSound(
    sound: AudioContext,
    which: string,
    { prompt, language }: Stretch,
): Promise<AudioBuffer | null> {
    try {
        const params = { path: { which, id: prompt ?? '' }, query: { language: language ?? 'en' } };
        const heard = await ask(api.GET('/api/plans/{which}/prompts/{id}/sound', { params }));
        const bytes = await (await fetch(soundAddress(heard.sound))).arrayBuffer();
        return await sound.decodeAudioData(bytes);
    } catch {
        return null;
    }
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

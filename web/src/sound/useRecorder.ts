import { useCallback, useEffect, useRef, useState } from 'react';

type State = 'idle' | 'counting' | 'recording' | 'recorded' | 'refused';

const COUNT_FROM = 3;
const MOST_SECONDS = 900;
/** How often the clock of a recording is read, in milliseconds: it shows seconds, none of them late. */
const CLOCK = 200;

export interface Recorder {
    state: State;
    /** Seconds until it begins, 0 while no sound comes in yet; then whole seconds of what is recorded. */
    count: number;
    /** How loud it is now, 0 to 1. */
    level: number;
    recorded: Blob | undefined;
    /** Why the microphone cannot be used. */
    why: string;
    start: () => void;
    stop: () => void;
    reset: () => void;
}

/** Records from the microphone, after a countdown, with a meter. */
export function useRecorder(): Recorder {
    const [state, setState] = useState<State>('idle');
    const [count, setCount] = useState(COUNT_FROM);
    const [level, setLevel] = useState(0);
    const [recorded, setRecorded] = useState<Blob>();
    const [why, setWhy] = useState('');
    const recorder = useRef<MediaRecorder | undefined>(undefined);
    const cleanUp = useRef<(() => void) | undefined>(undefined);

    const end = useCallback(() => {
        cleanUp.current?.();
        cleanUp.current = undefined;
        setLevel(0);
    }, []);
    useEffect(() => end, [end]);

    const start = useCallback(async () => {
        end();
        setRecorded(undefined);
        setWhy('');
        let stream: MediaStream;
        try {
            stream = await navigator.mediaDevices.getUserMedia({
                audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
            });
        } catch (error) {
            setWhy(whyNot(error));
            setState('refused');
            return;
        }
        const sound = new AudioContext();
        const meter = sound.createAnalyser();
        sound.createMediaStreamSource(stream).connect(meter);
        const samples = new Float32Array(meter.fftSize);
        const measure = setInterval(() => {
            meter.getFloatTimeDomainData(samples);
            setLevel(loudness(samples));
        }, 60);
        const parts: Blob[] = [];
        const recording = new MediaRecorder(stream);
        recording.ondataavailable = (event) => parts.push(event.data);
        let began: number | undefined;
        const recordedFor = () => (began === undefined ? 0 : Math.floor((performance.now() - began) / 1000));
        // Only when sound comes in: who reads before that loses the first words.
        recording.onstart = () => {
            began = performance.now();
            setState('recording');
            setCount(0);
            clock = setInterval(() => {
                setCount(recordedFor());
                if (recordedFor() >= MOST_SECONDS) recording.stop();
            }, CLOCK);
        };
        recording.onstop = () => {
            end();
            if (began === undefined) return setState('idle');
            setCount(recordedFor());
            setRecorded(new Blob(parts, { type: recording.mimeType }));
            setState('recorded');
        };
        recorder.current = recording;
        setState('counting');
        let left = COUNT_FROM;
        setCount(left);
        let clock = setInterval(() => {
            left -= 1;
            setCount(left);
            if (left > 0) return;
            clearInterval(clock);
            recording.start(1000);
        }, 1000);
        cleanUp.current = () => {
            recording.onstart = null;
            clearInterval(clock);
            clearInterval(measure);
            for (const track of stream.getTracks()) track.stop();
            void sound.close();
        };
    }, [end]);

    const stop = useCallback(() => {
        if (recorder.current?.state === 'recording') recorder.current.stop();
        else {
            end();
            setState('idle');
        }
    }, [end]);

    const reset = useCallback(() => {
        setRecorded(undefined);
        setState('idle');
    }, []);

    return { state, count, level, recorded, why, start, stop, reset };
}

/** From 0 at -60 dB to 1 at full scale. */
export function loudness(samples: ArrayLike<number>): number {
    let peak = 0;
    for (let i = 0; i < samples.length; i += 1) peak = Math.max(peak, Math.abs(samples[i] ?? 0));
    return peak === 0 ? 0 : Math.min(1, Math.max(0, (20 * Math.log10(peak) + 60) / 60));
}

function whyNot(error: unknown): string {
    const name = error instanceof DOMException ? error.name : '';
    if (name === 'NotAllowedError')
        return 'The browser does not let this page use the microphone. Allow it beside the address, then try again; or bring in a file.';
    if (name === 'NotFoundError') return 'There is no microphone at this computer. Plug one in, or bring in a file.';
    return 'The microphone cannot be used: another program may hold it. Close that and try again; or bring in a file.';
}

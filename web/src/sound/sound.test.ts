import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { play, stop } from './player';
import { loudness } from './useRecorder';

const made: { source: string; paused: boolean; onended?: () => void }[] = [];

beforeEach(() => {
    made.length = 0;
    vi.stubGlobal(
        'Audio',
        class {
            paused = true;
            onended?: () => void;
            constructor(public source: string) {
                made.push(this);
            }
            set src(next: string) {
                this.source = next;
            }
            play() {
                this.paused = false;
                return Promise.resolve();
            }
            pause() {
                this.paused = true;
            }
        },
    );
});
afterEach(() => {
    stop();
    vi.unstubAllGlobals();
});

const heard = () => made.filter((one) => !one.paused).map((one) => one.source);

test('one sound is heard at a time, and the same again stops it', async () => {
    await play('a', () => ['a.wav']);
    expect(heard()).toEqual(['a.wav']);
    await play('b', async () => ['b.wav']);
    expect(heard()).toEqual(['b.wav']);
    await play('b', () => ['b.wav']);
    expect(heard()).toEqual([]);
});

test('pieces are heard one after the other', async () => {
    await play('a', () => ['one.wav', 'two.wav']);
    made[0]?.onended?.();
    expect(made[0]?.source).toBe('two.wav');
    made[0]?.onended?.();
    expect(heard()).toEqual([]);
});

test('what was fetched too late is not heard', async () => {
    let arrive: (sources: string[]) => void = () => undefined;
    const late = play('slow', () => new Promise<string[]>((resolve) => (arrive = resolve)));
    await play('quick', () => ['quick.wav']);
    arrive(['slow.wav']);
    await late;
    expect(heard()).toEqual(['quick.wav']);
});

test('what cannot be fetched is said, and the next one can be heard', async () => {
    await expect(play('a', () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
    await play('a', () => ['a.wav']);
    expect(heard()).toEqual(['a.wav']);
});

test('the meter goes from -60 dB to full scale', () => {
    expect(loudness([0, 0])).toBe(0);
    expect(loudness([0.0001])).toBe(0);
    expect(loudness([0.001, -0.0316])).toBeCloseTo(0.5, 2);
    expect(loudness([-1, 0.2])).toBe(1);
});

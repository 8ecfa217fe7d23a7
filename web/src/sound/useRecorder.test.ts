// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useRecorder } from './useRecorder';

let microphone: FakeRecorder;

/** A recorder whose sound comes in when the test says so. */
class FakeRecorder {
    state = 'inactive';
    mimeType = 'audio/webm';
    onstart: (() => void) | null = null;
    onstop?: () => void;
    ondataavailable?: (event: { data: Blob }) => void;
    constructor() {
        microphone = this;
    }
    start() {
        this.state = 'recording';
    }
    soundComesIn() {
        this.onstart?.();
    }
    stop() {
        this.state = 'inactive';
        this.onstop?.();
    }
}

beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('MediaRecorder', FakeRecorder);
    vi.stubGlobal(
        'AudioContext',
        class {
            createAnalyser = () => ({ fftSize: 32, getFloatTimeDomainData: () => undefined });
            createMediaStreamSource = () => ({ connect: () => undefined });
            close = async () => undefined;
        },
    );
    vi.stubGlobal('navigator', { mediaDevices: { getUserMedia: async () => ({ getTracks: () => [] }) } });
});
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

const pass = (milliseconds: number) => act(() => vi.advanceTimersByTimeAsync(milliseconds));

async function counted() {
    const { result } = renderHook(() => useRecorder());
    await act(async () => result.current.start());
    await pass(3_500);
    return result;
}

test('it records when sound comes in, not when the count is over', async () => {
    const recorder = await counted();
    expect(recorder.current).toMatchObject({ state: 'counting', count: 0 });
    act(() => microphone.soundComesIn());
    expect(recorder.current).toMatchObject({ state: 'recording', count: 0 });
    await pass(2_300);
    expect(recorder.current.count).toBe(2);
    act(() => recorder.current.stop());
    expect(recorder.current).toMatchObject({ state: 'recorded', count: 2 });
});

test('stopped before any sound came in, there is nothing to keep', async () => {
    const recorder = await counted();
    act(() => recorder.current.stop());
    expect(recorder.current).toMatchObject({ state: 'idle', recorded: undefined });
});

test('a recording ends by itself after a quarter of an hour', async () => {
    const recorder = await counted();
    act(() => microphone.soundComesIn());
    await pass(899_000);
    expect(recorder.current.state).toBe('recording');
    await pass(1_500);
    expect(recorder.current).toMatchObject({ state: 'recorded', count: 900 });
});

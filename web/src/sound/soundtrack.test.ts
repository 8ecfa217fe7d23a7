import { expect, test } from 'vitest';
import type { TraceEvent } from '../api/types';
import { bursts, ringTone } from './ringTones';
import { soundtrack } from './soundtrack';

const event = (second: number, kind: string, what: object) => ({ second, kind, what }) as TraceEvent;

test('a call is heard in order: words, ringing that is shortened, the beep', () => {
    const heard = soundtrack(
        [
            event(0, 'dialled', { element: 'num' }),
            event(0, 'said', { prompt: 'prm_welcome', language: 'fr', seconds: 8 }),
            event(8, 'nothing pressed', { prompt: 'prm_menu', language: 'en', seconds: 14 }),
            event(27, 'not answered', { target: 'per_ann', seconds: 20, exit: 'nobody' }),
            event(47, 'message', { mailbox: 'mbx', greeting: 'prm_greet', language: 'en', seconds: 4, beeps: true }),
            event(51, 'message', { kind: 'message', who: 'mbx' }),
        ],
        'en',
    );
    expect(heard).toEqual([
        { event: 1, hears: 'prompt', prompt: 'prm_welcome', language: 'fr', seconds: 8 },
        { event: 2, hears: 'prompt', prompt: 'prm_menu', language: 'en', seconds: 14 },
        { event: 2, hears: 'silence', seconds: 0.7 },
        { event: 3, hears: 'ringing', seconds: 6 },
        { event: 4, hears: 'prompt', prompt: 'prm_greet', language: 'en', seconds: 4 },
        { event: 4, hears: 'beep', seconds: 0.5 },
    ]);
});

test('a place in the queue is said; blanks are filled as they were', () => {
    const filled = [{ blank: 'opening', words: 'tomorrow at eight' }];
    const heard = soundtrack(
        [
            event(0, 'said', { prompt: 'prm_closed', language: 'en', seconds: 4, filled }),
            event(4, 'place told', { queue: 'que', position: 2, words: 'You are number two.', language: 'en' }),
            event(4, 'said', { prompt: 'prm_welcome', language: 'en', seconds: 2, filled: [] }),
        ],
        'fr',
    );
    expect(heard).toEqual([
        { event: 0, hears: 'prompt', prompt: 'prm_closed', language: 'en', filled, seconds: 4 },
        { event: 1, hears: 'words', words: 'You are number two.', language: 'en', seconds: 20 },
        { event: 2, hears: 'prompt', prompt: 'prm_welcome', language: 'en', seconds: 2 },
    ]);
});

test('music is heard for a while; what is rung for a moment is not made longer', () => {
    const heard = soundtrack(
        [
            event(0, 'music begins', { pieces: ['prm_harbour', 'prm_crossing'] }),
            event(60, 'answered', { target: 'team', seconds: 2, exit: null }),
            event(62, 'answered', { kind: 'answered', who: 'per' }),
        ],
        'fr',
    );
    expect(heard).toEqual([
        { event: 0, hears: 'music', prompt: 'prm_harbour', language: 'fr', seconds: 6 },
        { event: 1, hears: 'ringing', seconds: 2 },
    ]);
});

test('a ringing tone is on and off as its country has it', () => {
    expect(bursts(ringTone('GB'), 4)).toEqual([
        { from: 0, to: 0.4 },
        { from: 0.6000000000000001, to: 1 },
        { from: 3, to: 3.4 },
        { from: 3.6, to: 4 },
    ]);
    expect(bursts(ringTone('FR'), 4)).toEqual([{ from: 0, to: 1.5 }]);
    expect(ringTone('XX')).toEqual({ hertz: [425], cadence: [1, 4] });
    expect(ringTone(undefined).hertz).toEqual([425]);
});

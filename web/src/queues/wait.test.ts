import { expect, test } from 'vitest';
import type { Queue } from '../api/types';
import { waitMarks } from './wait';

const queue = (waiting: object, members: object[] = [], widenSeconds = 30, more: object = {}) =>
    ({
        members,
        asking: { widenSeconds },
        waiting: { longestSeconds: 100, announceSeconds: 0, tellsPosition: true, tellsWait: false, ...waiting },
        promise: { percent: 80, seconds: 20, noticeSeconds: null },
        callback: null,
        ...more,
    }) as unknown as Queue;
const told = (one: Queue, introduction = 0) =>
    waitMarks(one, introduction).map((mark) => `${mark.second} ${mark.words}`);

test('a wait ends, and the promise is due before', () => {
    expect(told(queue({}))).toEqual(['20 80 % answered by now', '100 the call goes on']);
    expect(told(queue({ longestSeconds: 20 }))).toEqual(['20 the call goes on']);
});

test('announcements are counted from the end of the introduction, and none comes when the wait is over', () => {
    expect(told(queue({ announceSeconds: 45, tellsWait: true }), 10)).toEqual([
        '0 what is said first, for 10 s',
        '20 80 % answered by now',
        '55 the place and the expected wait announced',
        '100 the call goes on',
    ]);
    expect(told(queue({ announceSeconds: 10, tellsPosition: false }))).toHaveLength(2);
});

test('tiers join one after the other, as far as the wait lasts', () => {
    const members = [{ tier: 1 }, { tier: 2 }, { tier: 3 }];
    expect(told(queue({}, members, 40)).filter((one) => one.includes('joins'))).toEqual([
        '40 tier 2 joins',
        '80 tier 3 joins',
    ]);
    expect(told(queue({}, members, 60)).filter((one) => one.includes('joins'))).toEqual(['60 tier 2 joins']);
});

test('calling back is offered, and a notice goes out, as far as the wait lasts', () => {
    const callback = { offer: { key: '5', afterSeconds: 30, atTheEnd: false } };
    const promise = { percent: 80, seconds: 20, noticeSeconds: 50 };
    const marks = (more: object, introduction = 0) =>
        told(queue({}, [], 30, more), introduction).filter((one) => one.includes('keeps') || one.includes('notice'));
    expect(marks({ callback, promise })).toEqual(['30 5 keeps the place', '50 a notice goes out']);
    expect(marks({ callback }, 40)).toEqual(['40 5 keeps the place']);
    expect(marks({ promise: { ...promise, noticeSeconds: 100 } })).toEqual([]);
    expect(told(queue({}, [], 30, { callback: { offer: { key: null, atTheEnd: true } } })).at(-1)).toBe(
        '100 called back',
    );
});

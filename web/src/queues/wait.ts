import type { Queue } from '../api/types';

/** Something on the time scale of one caller's wait. */
export interface Mark {
    second: number;
    what: 'introduction' | 'announcement' | 'offer' | 'tier' | 'promise' | 'notice' | 'end';
    words: string;
}

const MOST_ANNOUNCEMENTS = 60;

/** What is set for whoever waits, in order: where nobody takes the call, this is what they go through. */
export function waitMarks(queue: Queue, introduction: number): Mark[] {
    const { waiting, asking, promise, callback } = queue;
    const end = waiting.longestSeconds;
    const marks: Mark[] = [];
    if (introduction > 0)
        marks.push({ second: 0, what: 'introduction', words: `what is said first, for ${introduction} s` });
    for (let tier = 2; tier <= Math.max(0, ...queue.members.map((one) => one.tier)); tier++) {
        const second = (tier - 1) * asking.widenSeconds;
        if (second < end) marks.push({ second, what: 'tier', words: `tier ${tier} joins` });
    }
    const tells = [waiting.tellsPosition && 'the place', waiting.tellsWait && 'the expected wait'].filter(Boolean);
    if (waiting.announceSeconds > 0 && tells.length > 0) {
        for (let i = 1; i <= MOST_ANNOUNCEMENTS && introduction + i * waiting.announceSeconds < end; i++)
            marks.push({
                second: introduction + i * waiting.announceSeconds,
                what: 'announcement',
                words: `${tells.join(' and ')} announced`,
            });
    }
    const offered = Math.max(introduction, callback?.offer.afterSeconds ?? 0);
    if (callback?.offer.key && offered < end)
        marks.push({ second: offered, what: 'offer', words: `${callback.offer.key} keeps the place` });
    if (promise.noticeSeconds !== null && promise.noticeSeconds < end)
        marks.push({ second: promise.noticeSeconds, what: 'notice', words: 'a notice goes out' });
    if (promise.seconds < end)
        marks.push({ second: promise.seconds, what: 'promise', words: `${promise.percent} % answered by now` });
    marks.push({ second: end, what: 'end', words: callback?.offer.atTheEnd ? 'called back' : 'the call goes on' });
    return marks.sort((a, b) => a.second - b.second);
}

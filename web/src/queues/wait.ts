import type { Queue } from '../api/types';

/** Something on the time scale of one caller's wait. */
export interface Mark {
    second: number;
    what: 'introduction' | 'announcement' | 'tier' | 'promise' | 'end';
    words: string;
}

const MOST_ANNOUNCEMENTS = 60;

/** What is set for whoever waits, in order: where nobody takes the call, this is what they go through. */
export function waitMarks(queue: Queue, introduction: number): Mark[] {
    const { waiting, asking, promise } = queue;
    const end = waiting.longestSeconds;
    const marks: Mark[] = [];
    if (introduction > 0)
        marks.push({ second: 0, what: 'introduction', words: `the introduction, for ${introduction} s` });
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
    if (promise.seconds < end)
        marks.push({ second: promise.seconds, what: 'promise', words: `${promise.percent} % answered by now` });
    marks.push({ second: end, what: 'end', words: 'the call goes on' });
    return marks.sort((a, b) => a.second - b.second);
}

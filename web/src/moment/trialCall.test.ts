import { describe, expect, it } from 'vitest';
import { readMoment, writeMoment } from './address';
import { toTrialCall } from './trialCall';

const read = (text: string) => readMoment(new URLSearchParams(text));

describe('the call that is tried', () => {
    it('becomes a trial call, key by key', () => {
        const call = toTrialCall(read('to=%2B441632960110&at=2026-11-23T10:30:00&keys=12'));
        expect(call).toEqual({
            in: 'draft',
            to: '+441632960110',
            from: '',
            at: '2026-11-23T10:30:00',
            assume: {
                keys: ['1', '2'],
                phones: [],
                earlier: { last: [], members: [], seed: 1 },
                lines: [],
                queues: [],
            },
        });
    });

    it('says what earlier calls left behind, and which channels are taken', () => {
        const text =
            'last=team_a~per_b&earlier=per_b~60~2%2Cper_c~~3&seed=7&taken=line_a~4&queues=que_a~3~90~%2Cque_b~0~~25&agents=que_a%2Fper_b~in~0~60~2~300%2Cque_c%2Fper_d~out~~0~0~0';
        expect(read(writeMoment(read(text)).toString())).toEqual(read(text));
        expect(toTrialCall(read(text)).assume).toMatchObject({
            earlier: {
                last: [{ team: 'team_a', who: 'per_b' }],
                members: [
                    { who: 'per_b', idle: 60, calls: 2 },
                    { who: 'per_c', calls: 3 },
                ],
                seed: 7,
            },
            lines: [{ line: 'line_a', taken: 4 }],
            queues: [
                {
                    queue: 'que_a',
                    ahead: 3,
                    free: 90,
                    leaves: null,
                    agents: [{ who: 'per_b', signedIn: true, freeAfter: 0, idle: 60, calls: 2, talk: 300 }],
                },
                { queue: 'que_b', ahead: 0, free: null, leaves: 25, agents: [] },
                {
                    queue: 'que_c',
                    agents: [{ who: 'per_d', signedIn: false, freeAfter: null, idle: 0, calls: 0, talk: 0 }],
                },
            ],
        });
    });

    it('says how the caller keeps a place, who else waits, and which sites are down', () => {
        const text = 'queues=que_a~3~90~~1~2~40~6~2%2Cque_b~0~~~~~40&down=sit_a%2Csit_b';
        expect(writeMoment(read(text)).toString()).toBe(new URLSearchParams(text).toString());
        expect(toTrialCall(read(text)).assume).toMatchObject({
            down: ['sit_a', 'sit_b'],
            queues: [
                { queue: 'que_a', urgentAhead: 1, canWaitAhead: 2, keeps: 40, picksUp: 6, onTry: 2 },
                { queue: 'que_b', urgentAhead: 0, canWaitAhead: 0, keeps: 40, picksUp: null, onTry: 1 },
            ],
        });
    });

    it('says what is pressed meanwhile, that it is a fax, and what becomes of a parked call', () => {
        const text = 'meanwhile=0@6,-,%23&fax=1&parked=40~per_x~701';
        expect(read(writeMoment(read(text)).toString())).toEqual(read(text));
        expect(toTrialCall(read(text)).assume).toMatchObject({
            meanwhile: [
                { press: '0', after: 6 },
                { press: '', after: null },
                { press: '#', after: null },
            ],
            fax: true,
            parked: { takenAfter: 40, by: 'per_x', taken: ['701'] },
        });
    });
});

import { describe, expect, it } from 'vitest';
import { readMoment, writeMoment } from './address';

const read = (text: string) => readMoment(new URLSearchParams(text));

describe('the moment in the address', () => {
    it('comes back as it was written', () => {
        const text =
            'to=%2B441632960110&from=07700+900123&at=2026-11-23T10%3A30%3A00&zone=Europe%2FParis&keys=1*%23&in=3&phones=per_dana%2Fdesk~answers~8%2C*~busy~0&patience=60';
        expect(read(writeMoment(read(text)).toString())).toEqual(read(text));
        expect(read(text)).toMatchObject({
            in: '3',
            keys: '1*#',
            patience: 60,
            phones: [
                { who: 'per_dana/desk', does: 'answers', after: 8 },
                { who: '*', does: 'busy', after: 0 },
            ],
        });
    });

    it('is the draft with nobody answering where nothing is said', () => {
        expect(read('')).toEqual({
            to: '',
            from: '',
            at: '',
            zone: '',
            in: 'draft',
            keys: '',
            phones: [],
            patience: null,
            unforced: false,
            last: {},
            earlier: {},
            seed: 1,
            taken: {},
            queues: {},
            agents: {},
            down: [],
            meanwhile: '',
            fax: false,
            parked: { takenAfter: null, by: null, taken: [] },
        });
        expect(writeMoment(read('')).toString()).toBe('');
    });

    it('makes do with nonsense', () => {
        expect(read('patience=soon&phones=,,~').patience).toBeNull();
        expect(read('phones=per_dana~answers~soon').phones).toEqual([{ who: 'per_dana', does: 'answers', after: 0 }]);
    });
});

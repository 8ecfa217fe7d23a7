import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { ASSUMED } from './assumedLimits';

test('as much may be assumed on the screen as the API takes', () => {
    const api = readFileSync('../docs/openapi.yaml', 'utf8');
    const part = api.slice(api.indexOf('    PhoneAssumption:'), api.indexOf('    Assumptions:'));
    const most = (field: string) => Number(new RegExp(`^ +${field}: .*maximum: (\\d+)`, 'm').exec(part)?.[1]);
    expect([most('after'), most('from')]).toEqual([ASSUMED.ringing.max, ASSUMED.ofTheCall.max]);
});

import { expect, test } from 'vitest';
import { readKeys, withKey } from './singleKeys';

const USUAL = { before: '[', after: ']', find: '/', why: 'w' };

test('what is stored counts, and what does not fit is as usual', () => {
    expect(readKeys(null)).toEqual(USUAL);
    expect(readKeys('{"why":"?","after":""}')).toEqual({ ...USUAL, after: '', why: '?' });
    expect(readKeys('{"why":"long","before":5}')).toEqual(USUAL);
    expect(readKeys('no JSON')).toEqual(USUAL);
    expect(readKeys('{"why":"/"}')).toEqual({ ...USUAL, why: '/', find: '' });
});

test('a key does one thing', () => {
    expect(withKey(USUAL, 'before', 'w')).toEqual({ ...USUAL, before: 'w', why: '' });
    expect(withKey({ ...USUAL, after: '' }, 'why', '')).toEqual({ ...USUAL, after: '', why: '' });
});

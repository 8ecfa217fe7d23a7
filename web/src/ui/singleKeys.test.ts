import { expect, test } from 'vitest';
import { readKeys, withKey } from './singleKeys';

const USUAL = { before: '[', after: ']', why: 'w' };

test('what is stored counts, and what does not fit is as usual', () => {
    expect(readKeys(null)).toEqual(USUAL);
    expect(readKeys('{"why":"?","after":""}')).toEqual({ before: '[', after: '', why: '?' });
    expect(readKeys('{"why":"long","before":5}')).toEqual(USUAL);
    expect(readKeys('no JSON')).toEqual(USUAL);
});

test('a key does one thing', () => {
    expect(withKey(USUAL, 'before', 'w')).toEqual({ before: 'w', after: ']', why: '' });
    expect(withKey({ ...USUAL, after: '' }, 'why', '')).toEqual({ before: '[', after: '', why: '' });
});

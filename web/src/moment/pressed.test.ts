import { describe, expect, it } from 'vitest';
import { keyPresses } from './pressed';

describe('what is pressed', () => {
    it('reads keys one by one, or apart with when they are pressed', () => {
        expect(keyPresses('12*')).toEqual(['1', '2', '*']);
        expect(keyPresses('201,')).toEqual(['201']);
        expect(keyPresses('2@3')).toEqual([{ press: '2', after: 3 }]);
        expect(keyPresses('1, 201#@12')).toEqual(['1', { press: '201#', after: 12 }]);
        expect(keyPresses('@3, ,')).toEqual([]);
        expect(keyPresses('2@3, new booking@4, 0')).toEqual([
            { press: '2', after: 3 },
            { says: 'new booking', after: 4 },
            '0',
        ]);
    });
});

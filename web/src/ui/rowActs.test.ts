import { expect, test } from 'vitest';
import { rowActs } from './rowActs';

const done = (act: (acts: ReturnType<typeof rowActs<string>>) => void, i: number) => {
    let saved: string[] | undefined;
    act(
        rowActs(['a', 'b', 'c'], i, (rows) => {
            saved = rows;
        }),
    );
    return saved?.join('');
};

test('rows are changed, moved and removed', () => {
    expect(done((acts) => acts.change('x'), 1)).toBe('axc');
    expect(done((acts) => acts.up?.(), 1)).toBe('bac');
    expect(done((acts) => acts.down?.(), 1)).toBe('acb');
    expect(done((acts) => acts.remove(), 1)).toBe('ac');
});

test('the first goes no further up, the last no further down', () => {
    expect(done((acts) => acts.up?.(), 0)).toBeUndefined();
    expect(done((acts) => acts.down?.(), 2)).toBeUndefined();
    expect(done((acts) => acts.down?.(), 0)).toBe('bac');
});

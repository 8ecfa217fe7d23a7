// @vitest-environment jsdom
import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { patternFill, StatePattern } from './StatePattern';

afterEach(cleanup);

test('what a fill refers to is there, whatever a state is called', () => {
    const keys = ['open', 'not rung', 'late “night”', 'late_night', 'été'];
    render(
        <svg aria-hidden="true">
            <StatePattern states={keys.map((key) => ({ key, name: key, open: false }))} />
        </svg>,
    );
    const ids = keys.map((key) => /^url\(#([\w-]+)\)$/.exec(patternFill(key))?.[1] ?? '');
    expect(new Set(ids).size).toBe(keys.length);
    for (const id of ids) expect(document.getElementById(id)?.tagName).toBe('pattern');
});

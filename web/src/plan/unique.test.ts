import { expect, test } from 'vitest';
import { unique } from './unique';

test.each([
    ['Mobile', [], 'Mobile'],
    ['Mobile', ['Mobile'], 'Mobile 2'],
    ['Mobile', ['Mobile 2', 'Mobile', 'Mobile 3'], 'Mobile 4'],
])('a name that nobody has: %s beside %j is %s', (name, taken, free) => {
    expect(unique(name, taken, ' ')).toBe(free);
});

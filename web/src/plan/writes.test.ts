import { QueryClient } from '@tanstack/react-query';
import { expect, test } from 'vitest';
import { allWritten, write } from './writes';

const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('a write is on its way before anything is drawn, and once', async () => {
    const queries = new QueryClient();
    let sent = 0;
    const written = write(queries, async () => ++sent, { scope: 'reception' });
    expect(sent).toBe(1);
    expect(await written).toBe(1);
    expect(sent).toBe(1);
});

test('writes of one element go out one after the other, also after one that failed', async () => {
    const queries = new QueryClient();
    const order: string[] = [];
    const sends =
        (name: string, ms: number, fails = false) =>
        async () => {
            order.push(`${name} out`);
            await after(ms);
            order.push(`${name} back`);
            if (fails) throw new Error(name);
            return name;
        };
    const first = write(queries, sends('first', 20, true), { scope: 'reception' }).catch(() => 'failed');
    const second = write(queries, sends('second', 1), { scope: 'reception' });
    const other = write(queries, sends('other', 1), { scope: 'sales' });
    expect(await Promise.all([first, second, other])).toEqual(['failed', 'second', 'other']);
    expect(order).toEqual(['first out', 'other out', 'other back', 'first back', 'second out', 'second back']);
});

test('all is written when the last one has been answered', async () => {
    const queries = new QueryClient();
    let answered = 0;
    for (const ms of [5, 15]) write(queries, () => after(ms).then(() => answered++), { scope: 'reception' });
    write(queries, () => after(1).then(() => Promise.reject(new Error('refused')))).catch(() => answered++);
    await allWritten(queries);
    expect(answered).toBe(3);
    await allWritten(queries);
});

import { expect, test } from 'vitest';
import type { Outlined } from '../api/types';
import { Elements } from './elements';

const journey = (id: string, name: string) => ({ id, kind: 'journey', name, steps: [] }) as unknown as Outlined;
const site = (id: string, name: string) => ({ id, kind: 'site', name }) as unknown as Outlined;
const names = (elements: Elements) => elements.all('journey').map((one) => one.name);

test('an edit is found, and stands in its place; what is of another kind stays the same list', () => {
    const before = Elements.of([journey('a', 'Line 10'), journey('b', 'Line 9'), site('s', 'Quay')], { a: 3 });
    const [sites, journeys] = [before.all('site'), before.all('journey')];
    const after = before.with([['b', journey('b', 'Line 11')]], 7);
    expect(names(before)).toEqual(['Line 9', 'Line 10']);
    expect(names(after)).toEqual(['Line 10', 'Line 11']);
    expect([before.revision('a'), before.revision('b'), after.revision('a'), after.revision('b')]).toEqual([
        3, 0, 3, 7,
    ]);
    expect(after.all('site')).toBe(sites);
    expect(before.all('journey')).toBe(journeys);
    expect(before.find('b')?.name).toBe('Line 9');
});

test('what is gone is gone, and what is new is there, whether the list was looked at or not', () => {
    for (const isListed of [true, false]) {
        const before = Elements.of([journey('a', 'A'), journey('c', 'C')], {});
        if (isListed) before.all('journey');
        const after = before.with(
            [
                ['a', null],
                ['b', journey('b', 'B')],
            ],
            2,
        );
        expect(names(after)).toEqual(['B', 'C']);
        expect(after.find('a')).toBeUndefined();
        expect(after.revision('a')).toBe(0);
        expect(names(after.with([['a', journey('a', 'A again')]], 3))).toEqual(['A again', 'B', 'C']);
    }
});

test('of what cannot be read the revision is known', () => {
    const before = Elements.of([journey('a', 'A')], { a: 1, odd: 5 });
    expect(before.find('odd')).toBeUndefined();
    expect(before.revision('odd')).toBe(5);
    expect(names(before.with([['odd', journey('odd', 'Odd')]], 6))).toEqual(['A', 'Odd']);
});

test('of equal names the one that is edited stays where it is', () => {
    const before = Elements.of([journey('a', 'Line'), journey('b', 'Line'), journey('c', 'Line')], {});
    before.all('journey');
    const after = before.with([['a', { ...journey('a', 'Line'), why: 'new' }]], 2);
    expect(after.all('journey').map((one) => one.id)).toEqual(['a', 'b', 'c']);
});

test('after a thousand drawn edits it is as if all were fetched anew', () => {
    let seed = 1;
    const draw = (most: number) => {
        seed = (seed * 48271) % 2147483647;
        return seed % most;
    };
    const all = new Map(Array.from({ length: 50 }, (_, i) => [`e${i}`, journey(`e${i}`, `Line ${i}`)]));
    let elements = Elements.of([...all.values()], {});
    for (let edit = 1; edit <= 1000; edit++) {
        const id = `e${draw(300)}`;
        const written = draw(4) === 0 ? null : journey(id, `Line ${id} ${draw(1000)}`);
        if (written) all.set(id, written);
        else all.delete(id);
        elements = elements.with([[id, written]], edit);
        expect(elements.revision(id)).toBe(written ? edit : 0);
        if (edit % 50 === 0) {
            const anew = Elements.of([...all.values()], {});
            expect(names(elements)).toEqual(names(anew));
            for (const key of all.keys()) expect(elements.find(key)).toBe(all.get(key));
        }
    }
});

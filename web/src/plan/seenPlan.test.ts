import { expect, test } from 'vitest';
import type { Element } from '../api/types';
import { Elements, type Plan } from './elements';
import { indexOf, SeenPlan } from './seenPlan';

const site = (id: string, name: string): Element => ({
    id,
    kind: 'site',
    name,
    zone: 'Europe/London',
    country: 'GB',
    language: 'en',
    address: '',
    cadence: null,
    parkPlaces: [],
});

const ternwick = site('sit_ternwick', 'Ternwick');
const port = site('sit_port', 'Port 10');
const quay = site('sit_quay', 'Port 9');

let revision = 0;
let before: Elements | undefined;
const planOf = (...elements: Element[]): Plan => {
    const revisions = Object.fromEntries(elements.map((one) => [one.id, ++revision]));
    before = Elements.of(elements, revisions, before);
    return {
        name: 'Ferries',
        revision,
        elements: before,
        international: {},
        unreadable: [],
        undo: null,
        redo: null,
    };
};

test('what was looked at is the same: nothing is shown anew', () => {
    const seen = new SeenPlan();
    const first = seen.of(planOf(ternwick, port));
    expect(first?.get('site', 'sit_port')).toBe(port);
    expect(seen.of(planOf(site('sit_ternwick', 'Ternwick Harbour'), port))).toBe(first);
    // What is done later looks at the latest.
    expect(first?.find('sit_ternwick')?.name).toBe('Ternwick Harbour');
});

test('what was looked at is another: it is shown anew', () => {
    const seen = new SeenPlan();
    const first = seen.of(planOf(ternwick, port));
    first?.find('sit_port');
    const next = seen.of(planOf(ternwick, site('sit_port', 'Harbour')));
    expect(next).not.toBe(first);
    expect(next?.find('sit_port')?.name).toBe('Harbour');
    const gone = seen.of(planOf(ternwick));
    expect(gone).not.toBe(next);
    expect(gone?.find('sit_port')).toBeUndefined();
});

test('whoever looks for something that is not there yet is told when it comes', () => {
    const seen = new SeenPlan();
    const first = seen.of(planOf(ternwick));
    expect(first?.find('sit_port')).toBeUndefined();
    expect(seen.of(planOf(ternwick, port))).not.toBe(first);
});

test('the stamp, the revision of an element and the plan itself are looked at like the rest', () => {
    for (const look of [
        (seen: ReturnType<typeof indexOf> | undefined) => seen?.stamp,
        (seen: ReturnType<typeof indexOf> | undefined) => seen?.plan,
        (seen: ReturnType<typeof indexOf> | undefined) => seen?.revision('sit_port'),
    ]) {
        const seen = new SeenPlan();
        const first = seen.of(planOf(ternwick, port));
        look(first);
        expect(seen.of(planOf(ternwick, port))).not.toBe(first);
    }
});

test('lists are in the order of names with numbers in them, and the same list while its elements are the same', () => {
    const first = indexOf(planOf(port, quay, ternwick)).all('site');
    expect(first.map((one) => one.name)).toEqual(['Port 9', 'Port 10', 'Ternwick']);
    expect(indexOf(planOf(port, quay, ternwick)).all('site')).toBe(first);
    expect(indexOf(planOf(port, quay)).all('site')).toHaveLength(2);
});

test('while nothing is there nothing is seen', () => {
    const seen = new SeenPlan();
    expect(seen.of(undefined)).toBeUndefined();
    expect(seen.of(planOf(port))?.all('site')).toEqual([port]);
    expect(seen.of(undefined)).toBeUndefined();
});

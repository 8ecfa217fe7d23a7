import { describe, expect, it } from 'vitest';
import type { Element } from '../api/types';
import { Elements } from './elements';
import { KINDS, newElement, usualSite } from './kinds';
import { indexOf } from './seenPlan';

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
const person = (id: string, at: string, extension: string): Element => ({
    id,
    kind: 'person',
    name: id,
    extension,
    site: at,
    phones: [],
    refusesForAll: false,
    listing: { on: true, reason: '', prompt: null },
    mailbox: null,
    rules: [],
    shows: null,
});
const plan = (...elements: Element[]) =>
    indexOf({
        name: 'Test',
        elements: Elements.of(elements, {}),
        international: {},
        revision: 1,
        unreadable: [],
        undo: null,
        redo: null,
    });

describe('new elements', () => {
    const harbour = plan(
        site('sit_a', 'Annexe'),
        site('sit_b', 'Harbour'),
        person('per_a', 'sit_b', '200'),
        person('per_b', 'sit_b', '201'),
        person('per_c', 'sit_a', '203'),
    );

    it('belong to the site that most others belong to', () => {
        expect(usualSite(harbour)?.id).toBe('sit_b');
        expect(newElement('hours', 'New', harbour)).toMatchObject({ site: 'sit_b' });
    });

    it('people get the first free extension and a desk phone', () => {
        expect(newElement('person', 'New', harbour)).toMatchObject({ extension: '202', phones: [{ type: 'desk' }] });
    });

    it('wait for a site where they need one', () => {
        const empty = plan();
        expect(newElement('person', 'New', empty)).toBeNull();
        expect(newElement('hours', 'New', empty)).toBeNull();
        expect(newElement('prompt', 'New', empty)).not.toBeNull();
    });

    it('start with the name that was typed, whatever the kind', () => {
        for (const kind of Object.keys(KINDS) as (keyof typeof KINDS)[]) {
            if (kind === 'number') continue;
            expect(newElement(kind, 'Typed', harbour)).toMatchObject({ kind, name: 'Typed' });
        }
    });
});

describe('the index of a plan', () => {
    it('sorts names as people count, and finds by kind and id', () => {
        const index = plan(site('sit_1', 'Quay 10'), site('sit_2', 'Quay 9'), person('per_a', 'sit_1', '200'));
        expect(index.all('site').map((one) => one.name)).toEqual(['Quay 9', 'Quay 10']);
        expect(index.get('person', 'per_a')?.extension).toBe('200');
        expect(index.get('site', 'per_a')).toBeUndefined();
        expect(index.find(null)).toBeUndefined();
    });
});

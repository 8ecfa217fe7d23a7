import { expect, test } from 'vitest';
import type { Outlined } from '../api/types';
import { Elements } from '../plan/elements';
import { indexOf } from '../plan/seenPlan';
import { foundIn } from './foundIn';

const planOf = (elements: object[]) =>
    indexOf({
        revision: 1,
        international: { '+441632960110': '+44 1632 960110' },
        elements: Elements.of(elements as Outlined[], {}),
        name: 'Ferries',
        unreadable: [],
        undo: null,
        redo: null,
    });

const plan = planOf([
    { id: 'num_bookings', kind: 'number', name: 'Bookings', number: '+441632960110', block: null },
    {
        id: 'num_direct',
        kind: 'number',
        name: 'Direct lines',
        number: '+441632960200',
        block: { last: '+441632960299' },
    },
    { id: 'num_all', kind: 'number', name: 'All others', number: '+4420794*', block: null },
    { id: 'jrn_bookings', kind: 'journey', name: 'Bookings line' },
    { id: 'jrn_new', kind: 'journey', name: 'New bookings' },
    {
        id: 'per_ines',
        kind: 'person',
        name: 'Inès Marchand',
        extension: '204',
        phones: [{ number: null }, { number: '+33639980017' }],
    },
    { id: 'hrs_port', kind: 'hours', name: 'Port hours', codes: [{ code: '*71' }] },
    {
        id: 'que_bookings',
        kind: 'queue',
        name: 'Bookings queue',
        duty: { codeIn: '*31', codePause: '', codeOut: '' },
    },
    { id: 'sit_port', kind: 'site', name: 'Port', parkPlaces: ['701'] },
    { id: 'set_one', kind: 'settings', name: 'Settings' },
]);

const found = (typed: string) => foundIn(plan, typed).found.map((one) => one.key);

test('by name: the same first, then what begins so, then where a word does', () => {
    expect(found('bookings')).toEqual(['num_bookings', 'jrn_bookings', 'que_bookings', 'jrn_new']);
    expect(found(' INES  march')).toEqual(['per_ines']);
    expect(found('ooking')).toHaveLength(4);
    expect(found('nothing')).toEqual([]);
    expect(found(' ')).toEqual([]);
});

test('a kind tells things of one name apart, and screens are found like elements', () => {
    expect(found('queue book')).toEqual(['que_bookings']);
    expect(found('editions')).toEqual(['/editions']);
    expect(found('port')).toEqual(['sit_port', 'hrs_port']);
    expect(found('settings')).toEqual([]);
});

test('numbers as they are dialled at home and from abroad, also within a block', () => {
    for (const typed of ['01632 960 110', '+44 1632 960110', '0044 (1632) 960110', '960110'])
        expect(found(typed)[0], typed).toBe('num_bookings');
    expect(found('01632 960245')).toEqual(['num_direct']);
    expect(found('01632 960300')).toEqual([]);
    expect(found('020794')).toEqual(['num_all']);
    expect(found('06 39 98 00 17')).toEqual(['per_ines']);
    expect(foundIn(plan, '960110').found[0]?.what).toBe('number · +44 1632 960110');
});

test('extensions, codes and parking places', () => {
    expect(found('204')[0]).toBe('per_ines');
    expect(found('*71')).toEqual(['hrs_port']);
    expect(found('*31')).toEqual(['que_bookings']);
    expect(found('701')[0]).toBe('sit_port');
});

test('of very many the best are shown, and how many more there are', () => {
    const elements = Array.from({ length: 50 }, (_, i) => ({ id: `jrn_${i}`, kind: 'journey', name: `Line ${i}` }));
    const many = planOf(elements);
    const { found: shown, more } = foundIn(many, 'line 7');
    expect([shown[0]?.key, more]).toEqual(['jrn_7', 0]);
    // One of them is the screen of outside lines.
    expect(foundIn(many, 'line').found).toHaveLength(40);
    expect(foundIn(many, 'line').more).toBe(11);
});

// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test } from 'vitest';
import type { Pending } from '../api/types';
import { ChangedElements, countWords, elementWords } from './ChangedElements';

afterEach(cleanup);

type Named = Pending['pending'][number];

const named = (kind: string, what: Named['what'], count: number): Named[] =>
    Array.from({ length: count }, (_, at) => ({
        id: `${kind}_${what}_${at}`,
        kind,
        name: `${what} ${at}`,
        what,
        why: null,
    }));

function show(counts: Pending['counts'], pending: Named[]) {
    const count = counts.reduce((all, one) => all + one.count, 0);
    render(
        <MemoryRouter>
            <ChangedElements changes={{ revision: 1, count, counts, pending }} linked />
        </MemoryRouter>,
    );
}

test('of few, each is named with its kind, those first of which somebody said why', () => {
    const [first, second] = named('team', 'changed', 2) as [Named, Named];
    show([{ kind: 'team', what: 'changed', count: 2 }], [first, { ...second, why: 'Two counters.' }]);
    expect(screen.queryByRole('group')).toBeNull();
    const rows = screen.getAllByRole('listitem').map((row) => row.textContent);
    expect(rows).toEqual(['changed changed 1 teamIt was so because: “Two counters.”', 'changed changed 0 team']);
});

test('many are told kind by kind, in the order of the screens; what was taken away leads nowhere', () => {
    show(
        [
            { kind: 'person', what: 'removed', count: 1 },
            { kind: 'number', what: 'added', count: 3984 },
            { kind: 'number', what: 'removed', count: 2 },
        ],
        [
            ...named('person', 'removed', 1).map((one) => ({ ...one, why: 'Retired.' })),
            ...named('number', 'added', 20),
            ...named('number', 'removed', 2),
        ],
    );
    expect(screen.getAllByRole('listitem')[0]?.textContent).toBe(
        'removed removed 0 personIt was so because: “Retired.”',
    );
    const [numbers, people] = screen.getAllByRole('group') as [HTMLElement, HTMLElement];
    expect(numbers.textContent).toContain('Numbers 3,984 added, 2 removed');
    expect(within(numbers).getAllByRole('link', { hidden: true })).toHaveLength(20);
    expect(numbers.textContent).toContain('and 3,964 more');
    expect(people.textContent).toMatch(/^Person 1 removed removed 0/);
});

test('counts are words', () => {
    expect([elementWords(1), elementWords(9849)]).toEqual(['1 element', '9,849 elements']);
    const counts: Pending['counts'] = [
        { kind: 'team', what: 'removed', count: 2 },
        { kind: 'site', what: 'added', count: 1 },
        { kind: 'team', what: 'added', count: 3 },
    ];
    expect(countWords(counts)).toBe('4 added, 2 removed');
});

import { ALL_KINDS, KINDS } from '../plan/kinds';

interface Screen {
    path: string;
    name: string;
}

const of = (group: string, ...others: [string, string][]): Screen[] => [
    ...ALL_KINDS.filter((kind) => KINDS[kind].group === group).map((kind) => ({
        path: `/${KINDS[kind].path}`,
        name: KINDS[kind].many,
    })),
    ...others.map(([path, name]) => ({ path, name })),
];

export const FIRST_SCREEN: Screen = { path: '/', name: 'This call' };

/** Of the rail: kinds of elements first, then other screens. */
export const GROUPS: { title: string; screens: Screen[] }[] = [
    { title: 'What callers reach', screens: of('reached', ['/recordings', 'Recordings']) },
    { title: 'Who answers', screens: of('answers') },
    { title: 'Where', screens: of('where') },
    {
        title: 'What will happen',
        screens: of(
            'will happen',
            ['/all-numbers', 'All numbers now'],
            ['/coverage', 'Coverage'],
            ['/overflow', 'Overflow'],
            ['/map', 'Map'],
            ['/paper', 'On paper'],
        ),
    },
    {
        title: 'In force',
        screens: of(
            'in force',
            ['/open-now', 'Open now'],
            ['/on-duty', 'On duty'],
            ['/editions', 'Editions'],
            ['/changes', 'Changes'],
            ['/outbox', 'Outbox'],
            ['/files', 'Plan files'],
        ),
    },
];

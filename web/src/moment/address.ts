import type { Assumed, AssumedAgent, AssumedQueue, Moment } from './moment';

/** How a part of the moment stands in the address. */
interface Part<T> {
    /** Of what stands there; '' for nothing. */
    read: (text: string) => T;
    /** '' where it is not to be said. */
    write: (value: T) => string;
}

const words = (usual = ''): Part<string> => ({
    read: (text) => text || usual,
    write: (value) => (value === usual ? '' : value),
});

const flag: Part<boolean> = { read: (text) => text !== '', write: (value) => (value ? '1' : '') };

const ids: Part<string[]> = { read: (text) => text.split(',').filter(Boolean), write: (value) => value.join(',') };

/**
 * What is stated of some, by their ids: entries are parted by commas, their parts by tildes.
 *
 * @param least parts of an entry, its id among them: others are none
 */
function ofEach<T>(
    least: number,
    read: (parts: string[]) => T,
    write: (value: T) => (string | number)[],
): Part<Record<string, T>> {
    return {
        read: (text) =>
            Object.fromEntries(
                text
                    .split(',')
                    .map((one) => one.split('~'))
                    .filter((parts) => parts.length >= least)
                    .map(([id = '', ...parts]) => [id, read(parts)]),
            ),
        write: (value) =>
            Object.entries(value)
                .map(([id, one]) => [id, ...write(one)].join('~'))
                .join(','),
    };
}

const orNull = (text: string | undefined) => (text ? Number(text) || 0 : null);

/** Parts that are seldom stated: those at the end that say nothing are left out. */
const seldom = (...parts: (string | number)[]) => parts.slice(0, parts.findLastIndex((part) => part !== '') + 1);

const phones: Part<Assumed[]> = {
    read: (text) =>
        text
            .split(',')
            .filter(Boolean)
            .map((one) => {
                const [who = '*', does = 'answers', after = '0', from] = one.split('~');
                return {
                    who,
                    does: does as Assumed['does'],
                    after: after === '' ? null : Number(after) || 0,
                    ...(Number(from) > 0 ? { from: Number(from) } : {}),
                };
            }),
    write: (value) =>
        value.map(({ who, does, after, from }) => [who, does, after ?? '', ...seldom(from ?? '')].join('~')).join(','),
};

const queues = ofEach<AssumedQueue>(
    4,
    ([ahead, free, leaves, urgentAhead, canWaitAhead, keeps, picksUp, onTry]) => ({
        ahead: Number(ahead) || 0,
        free: orNull(free),
        leaves: orNull(leaves),
        urgentAhead: Number(urgentAhead) || 0,
        canWaitAhead: Number(canWaitAhead) || 0,
        keeps: orNull(keeps),
        picksUp: orNull(picksUp),
        onTry: Number(onTry) || 1,
    }),
    (one) => [
        one.ahead,
        one.free ?? '',
        one.leaves ?? '',
        ...seldom(
            one.urgentAhead || '',
            one.canWaitAhead || '',
            one.keeps ?? '',
            one.picksUp ?? '',
            one.onTry === 1 ? '' : one.onTry,
        ),
    ],
);

const agents = ofEach<AssumedAgent>(
    6,
    ([signedIn, freeAfter, idle, calls, talk]) => ({
        signedIn: signedIn !== 'out',
        freeAfter: orNull(freeAfter),
        idle: Number(idle) || 0,
        calls: Number(calls) || 0,
        talk: Number(talk) || 0,
    }),
    (one) => [one.signedIn ? 'in' : 'out', one.freeAfter ?? '', one.idle, one.calls, one.talk],
);

/** "40~per_x~701~702": taken after 40 s by somebody, other calls waiting at 701 and 702. */
const parked: Part<Moment['parked']> = {
    read: (text) => {
        const [takenAfter, by, ...taken] = text.split('~');
        return { takenAfter: orNull(takenAfter), by: by || null, taken: taken.filter(Boolean) };
    },
    write: ({ takenAfter, by, taken }) => seldom(takenAfter ?? '', by ?? '', ...taken).join('~'),
};

/** Every part of the moment, in the order in which they stand there. */
const PARTS: { [Name in keyof Moment]: Part<Moment[Name]> } = {
    to: words(),
    from: words(),
    at: words(),
    zone: words(),
    keys: words(),
    in: words('draft'),
    phones,
    patience: { read: (text) => (Number(text) > 0 ? Number(text) : null), write: (value) => String(value || '') },
    unforced: flag,
    last: ofEach(
        2,
        ([who = '']) => who,
        (who) => [who],
    ),
    earlier: ofEach(
        3,
        ([idle, calls]) => ({ idle: orNull(idle), calls: Number(calls) || 0 }),
        ({ idle, calls }) => [idle ?? '', calls],
    ),
    seed: { read: (text) => Number(text) || 1, write: (value) => (value === 1 ? '' : String(value)) },
    taken: ofEach(
        2,
        ([calls]) => Number(calls) || 0,
        (calls) => [calls],
    ),
    queues,
    agents,
    down: ids,
    meanwhile: words(),
    fax: flag,
    parked,
};

export const isOfMoment = (parameter: string) => Object.hasOwn(PARTS, parameter);

export function readMoment(params: URLSearchParams): Moment {
    return Object.fromEntries(
        Object.entries(PARTS).map(([name, part]) => [name, part.read(params.get(name) ?? '')]),
    ) as unknown as Moment;
}

export function writeMoment(moment: Moment): URLSearchParams {
    const params = new URLSearchParams();
    for (const [name, part] of Object.entries(PARTS) as [keyof Moment, Part<unknown>][]) {
        const text = part.write(moment[name]);
        if (text) params.set(name, text);
    }
    return params;
}

import {
    createContext,
    createElement,
    type ReactNode,
    useCallback,
    useContext,
    useMemo,
    useSyncExternalStore,
} from 'react';
import { useNavigate } from 'react-router';
import type { Acts, PhoneAssumption, Status, TrialCall } from '../api/types';

/** What a phone does, or what the status of its owner is. */
export interface Assumed {
    who: string;
    does: PhoneAssumption['does'] | Status;
    /** Seconds of ringing; null for somebody on a call who does not answer a second one. */
    after: number | null;
    /** Second of the call from which on. */
    from?: number;
}

export interface AssumedQueue {
    /** Callers who wait already. */
    ahead: number;
    /** Seconds until the first agent is free of whom nothing is stated; null: none will be. */
    free: number | null;
    /** Seconds of waiting after which the caller presses the key that leaves; null: never. */
    leaves: number | null;
    /** Callers who wait already and come first, or last, for their urgency; those ahead are usual ones. */
    urgentAhead: number;
    canWaitAhead: number;
    /** Seconds of waiting after which the caller presses the key that keeps the place; null: never. */
    keeps: number | null;
    /** Seconds of ringing after which the caller takes the call back; null: they do not. */
    picksUp: number | null;
    /** At which call back they do. */
    onTry: number;
}

export const NOTHING_STATED: AssumedQueue = {
    ahead: 0,
    free: null,
    leaves: null,
    urgentAhead: 0,
    canWaitAhead: 0,
    keeps: null,
    picksUp: null,
    onTry: 1,
};

export interface AssumedAgent {
    signedIn: boolean;
    /** Seconds until they can be asked; null: on a call without a known end. */
    freeAfter: number | null;
    idle: number;
    calls: number;
    talk: number;
}

const FREE: AssumedAgent = { signedIn: true, freeAfter: 0, idle: 0, calls: 0, talk: 0 };

const orNull = (text: string | undefined) => (text ? Number(text) || 0 : null);

export const ASSUMED_STATUSES: Status[] = ['available', 'away', 'do not disturb', 'on leave', 'signed out'];
export const isStatus = (does: Assumed['does']): does is Status => (ASSUMED_STATUSES as string[]).includes(does);

/** The chosen moment and call, as it stands in the address: a link to it shows a colleague the same answer. */
export interface Moment {
    to: string;
    from: string;
    /** Local date and time, YYYY-MM-DDTHH:MM:SS */
    at: string;
    zone: string;
    in: string;
    keys: string;
    phones: Assumed[];
    patience: number | null;
    /** As if nobody had forced hours into a state. */
    unforced: boolean;
    /** Who rang last, by team: for teams that rotate. */
    last: Record<string, string>;
    /** What earlier calls left behind, by member: seconds since the last one, and how many today. */
    earlier: Record<string, { idle: number | null; calls: number }>;
    /** Of the order of teams that ring at random. */
    seed: number;
    /** Channels of outside lines that other calls use, by line. */
    taken: Record<string, number>;
    /** How queues stand when the call begins. */
    queues: Record<string, AssumedQueue>;
    /** How agents stand when the call begins, by queue and person ("que_x/per_y"). */
    agents: Record<string, AssumedAgent>;
    /** Sites whose phones cannot be reached. */
    down: string[];
    /** Keys pressed while phones ring or something is heard, at one step that has keys after the other. */
    meanwhile: string;
    /** A fax machine calls. */
    fax: boolean;
    /** What becomes of a call that is parked. */
    parked: { takenAfter: number | null; by: string | null; taken: string[] };
}

interface Bar {
    moment: Moment;
    change: (part: Partial<Moment> | ((now: Moment) => Partial<Moment>)) => void;
    /** The address's parameters, with their question mark. */
    search: string;
}

const MomentContext = createContext<Bar>({
    moment: readMoment(new URLSearchParams()),
    change: () => undefined,
    search: '',
});

/** Reads the address once for all who look at the moment. */
export function MomentProvider({ children }: { children: ReactNode }) {
    return createElement(MomentContext, { value: useAddress() }, children);
}

export const useMoment = () => useContext(MomentContext);

/** Goes to another screen, with the moment and the call as they are by then: something may have been waited for. */
export function useGo() {
    const navigate = useNavigate();
    return useCallback(
        (pathname: string, state?: { isNew: true }) =>
            void navigate({ pathname, search: window.location.search }, state ? { state } : {}),
        [navigate],
    );
}

const readers = new Set<() => void>();
const onChange = (reader: () => void) => {
    readers.add(reader);
    return () => readers.delete(reader);
};
const current = () => new URLSearchParams(window.location.search);

/** Of the address itself: the router draws what follows from a change a moment later, and a link that is followed meanwhile must have it. */
function useAddress(): Bar {
    const navigate = useNavigate();
    const text = useSyncExternalStore(onChange, () => current().toString());
    const moment = useMemo<Moment>(() => readMoment(new URLSearchParams(text)), [text]);

    const change = useCallback(
        (part: Partial<Moment> | ((now: Moment) => Partial<Moment>)) => {
            // Two changes in a row must not undo one another.
            const now = readMoment(current());
            const next = writeMoment({ ...now, ...(typeof part === 'function' ? part(now) : part) });
            for (const [name, value] of current()) if (!NAMES.has(name)) next.set(name, value);
            // Of the screen that is shown by now: another may have been gone to.
            navigate({ pathname: window.location.pathname, search: next.toString() }, { replace: true });
            for (const read of readers) read();
        },
        [navigate],
    );

    return useMemo(() => ({ moment, change, search: text ? `?${text}` : '' }), [moment, change, text]);
}

const NAMES = new Set([
    'to',
    'from',
    'at',
    'zone',
    'in',
    'keys',
    'phones',
    'patience',
    'unforced',
    'last',
    'earlier',
    'seed',
    'taken',
    'queues',
    'agents',
    'down',
    'meanwhile',
    'fax',
    'parked',
]);

export function readMoment(params: URLSearchParams): Moment {
    const patience = Number(params.get('patience'));
    return {
        to: params.get('to') ?? '',
        from: params.get('from') ?? '',
        at: params.get('at') ?? '',
        zone: params.get('zone') ?? '',
        in: params.get('in') ?? 'draft',
        keys: params.get('keys') ?? '',
        phones: (params.get('phones') ?? '')
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
        patience: patience > 0 ? patience : null,
        unforced: params.has('unforced'),
        last: Object.fromEntries(tuples(params, 'last', 2).map(([team, who]) => [team, who])),
        earlier: Object.fromEntries(
            tuples(params, 'earlier', 3).map(([who, idle, calls]) => [
                who,
                { idle: idle === '' ? null : Number(idle) || 0, calls: Number(calls) || 0 },
            ]),
        ),
        seed: Number(params.get('seed')) || 1,
        taken: Object.fromEntries(tuples(params, 'taken', 2).map(([line, calls]) => [line, Number(calls) || 0])),
        queues: Object.fromEntries(
            tuples(params, 'queues', 4).map(
                ([queue, ahead, free, leaves, urgentAhead, canWaitAhead, keeps, picksUp, onTry]) => [
                    queue,
                    {
                        ahead: Number(ahead) || 0,
                        free: orNull(free),
                        leaves: orNull(leaves),
                        urgentAhead: Number(urgentAhead) || 0,
                        canWaitAhead: Number(canWaitAhead) || 0,
                        keeps: orNull(keeps),
                        picksUp: orNull(picksUp),
                        onTry: Number(onTry) || 1,
                    },
                ],
            ),
        ),
        agents: Object.fromEntries(
            tuples(params, 'agents', 6).map(([who, signedIn, freeAfter, idle, calls, talk]) => [
                who,
                {
                    signedIn: signedIn !== 'out',
                    freeAfter: orNull(freeAfter),
                    idle: Number(idle) || 0,
                    calls: Number(calls) || 0,
                    talk: Number(talk) || 0,
                },
            ]),
        ),
        down: (params.get('down') ?? '').split(',').filter(Boolean),
        meanwhile: params.get('meanwhile') ?? '',
        fax: params.has('fax'),
        parked: readParked(params.get('parked') ?? ''),
    };
}

/** "40~per_x~701~702": taken after 40 s by somebody, other calls waiting at 701 and 702. */
function readParked(text: string): Moment['parked'] {
    const [takenAfter, by, ...taken] = text.split('~');
    return { takenAfter: orNull(takenAfter), by: by || null, taken: taken.filter(Boolean) };
}

/** A list in one parameter: entries are parted by commas, their parts by tildes; later parts may be missing. */
function tuples(params: URLSearchParams, name: string, size: number): string[][] {
    return (params.get(name) ?? '')
        .split(',')
        .map((one) => one.split('~'))
        .filter((parts) => parts.length >= size);
}

export function writeMoment(moment: Moment): URLSearchParams {
    const params = new URLSearchParams();
    for (const name of ['to', 'from', 'at', 'zone', 'keys'] as const) if (moment[name]) params.set(name, moment[name]);
    if (moment.in !== 'draft') params.set('in', moment.in);
    if (moment.phones.length > 0)
        params.set(
            'phones',
            moment.phones
                .map((one) => `${one.who}~${one.does}~${one.after ?? ''}${laterParts([one.from ?? ''])}`)
                .join(','),
        );
    if (moment.patience) params.set('patience', String(moment.patience));
    if (moment.unforced) params.set('unforced', '1');
    const last = Object.entries(moment.last).map((pair) => pair.join('~'));
    if (last.length > 0) params.set('last', last.join(','));
    const earlier = Object.entries(moment.earlier).map(([who, { idle, calls }]) => `${who}~${idle ?? ''}~${calls}`);
    if (earlier.length > 0) params.set('earlier', earlier.join(','));
    if (moment.seed !== 1) params.set('seed', String(moment.seed));
    const taken = Object.entries(moment.taken).map((pair) => pair.join('~'));
    if (taken.length > 0) params.set('taken', taken.join(','));
    const queues = Object.entries(moment.queues).map(
        ([queue, one]) =>
            `${queue}~${one.ahead}~${one.free ?? ''}~${one.leaves ?? ''}${laterParts([
                one.urgentAhead || '',
                one.canWaitAhead || '',
                one.keeps ?? '',
                one.picksUp ?? '',
                one.onTry === 1 ? '' : one.onTry,
            ])}`,
    );
    if (queues.length > 0) params.set('queues', queues.join(','));
    const agents = Object.entries(moment.agents).map(
        ([who, one]) =>
            `${who}~${one.signedIn ? 'in' : 'out'}~${one.freeAfter ?? ''}~${one.idle}~${one.calls}~${one.talk}`,
    );
    if (agents.length > 0) params.set('agents', agents.join(','));
    if (moment.down.length > 0) params.set('down', moment.down.join(','));
    if (moment.meanwhile) params.set('meanwhile', moment.meanwhile);
    if (moment.fax) params.set('fax', '1');
    const { parked } = moment;
    if (isParkedStated(moment))
        params.set('parked', [parked.takenAfter ?? '', parked.by ?? '', ...parked.taken].join('~'));
    return params;
}

/** Parts that are seldom stated: those at the end that say nothing are left out. */
function laterParts(parts: (string | number)[]): string {
    return parts
        .slice(0, parts.findLastIndex((part) => part !== '') + 1)
        .map((part) => `~${part}`)
        .join('');
}

function assumedQueues(moment: Moment) {
    const agents = Object.entries(moment.agents).map(([key, state]) => {
        const [queue = '', who = ''] = key.split('/');
        return { queue, agent: { who, ...state } };
    });
    const ids = new Set([...Object.keys(moment.queues), ...agents.map((one) => one.queue)]);
    return [...ids].map((queue) => ({
        queue,
        ...moment.queues[queue],
        agents: agents.filter((one) => one.queue === queue).map((one) => one.agent),
    }));
}

export function toTrialCall(moment: Moment): TrialCall {
    return {
        in: moment.in,
        to: moment.to,
        from: moment.from,
        at: moment.at,
        ...(moment.zone ? { zone: moment.zone } : {}),
        assume: {
            keys: keyPresses(moment.keys),
            phones: moment.phones.flatMap(({ who, does, after, from }) =>
                isStatus(does) ? [] : [{ who, does, after, ...(from ? { from } : {}) }],
            ),
            ...(moment.phones.some((one) => isStatus(one.does))
                ? {
                      statuses: moment.phones.flatMap(({ who, does }) =>
                          isStatus(does) ? [{ who: who.split('/')[0] ?? who, status: does }] : [],
                      ),
                  }
                : {}),
            ...(moment.patience ? { patience: moment.patience } : {}),
            ...(moment.unforced ? { withoutOverrides: true } : {}),
            earlier: {
                last: Object.entries(moment.last).map(([team, who]) => ({ team, who })),
                members: Object.entries(moment.earlier).map(([who, { idle, calls }]) => ({
                    who,
                    calls,
                    ...(idle === null ? {} : { idle }),
                })),
                seed: moment.seed,
            },
            lines: Object.entries(moment.taken).map(([line, taken]) => ({ line, taken })),
            queues: assumedQueues(moment),
            ...(moment.down.length > 0 ? { down: moment.down } : {}),
            ...(moment.meanwhile ? { meanwhile: pressesMeanwhile(moment.meanwhile) } : {}),
            ...(moment.fax ? { fax: true } : {}),
            ...(isParkedStated(moment) ? { parked: moment.parked } : {}),
        },
    };
}

/** Nothing that callers press, phones do, or queues are like. */
export const NO_ACTS = {
    keys: '',
    meanwhile: '',
    phones: [],
    patience: null,
    fax: false,
    queues: {},
    agents: {},
    parked: { takenAfter: null, by: null, taken: [] },
} satisfies Partial<Moment>;

/** What callers press, phones do and queues are like, as the bar holds it. */
export function fromActs({ keys, meanwhile, phones, patience, fax, queues, parked }: Acts): Partial<Moment> {
    const pressed = (one: { press: string; after: number | null }) =>
        one.after === null ? one.press || '-' : `${one.press || '-'}@${one.after}`;
    return {
        keys: keys.map(pressed).join(', '),
        meanwhile: meanwhile.map(pressed).join(', '),
        phones: phones.map(({ who, does, after, from }) => ({
            who,
            does,
            after: after ?? null,
            ...(from ? { from } : {}),
        })),
        patience,
        fax,
        queues: Object.fromEntries(
            queues.map(({ queue, agents, ...state }) => [queue, { ...NOTHING_STATED, ...state }]),
        ),
        agents: Object.fromEntries(
            queues.flatMap(({ queue, agents }) =>
                (agents ?? []).map(({ who, ...state }) => [`${queue}/${who}`, { ...FREE, ...state }]),
            ),
        ),
        parked,
    };
}

export const isParkedStated = ({ parked }: Moment) =>
    parked.takenAfter !== null || parked.by !== null || parked.taken.length > 0;

/**
 * What is pressed at one menu after the other: "12" is two keys; "2@3, 201" is 2 after 3 s, then an extension; "201," is that
 * extension alone; "bookings@4" says a word after 4 s, and where a word is said, only commas part one from the next.
 */
export function keyPresses(text: string): NonNullable<NonNullable<TrialCall['assume']>['keys']> {
    if (/\p{L}/u.test(text)) {
        return text
            .split(',')
            .map((one) => one.trim())
            .filter((one) => /[\p{L}0-9*#]/u.test(one.split('@')[0] ?? ''))
            .map(pressOrWord);
    }
    if (!/[\s,@]/.test(text)) return [...text.replaceAll(/[^0-9*#]/g, '')];
    return text
        .split(/[\s,]+/)
        .filter((one) => /[0-9*#]/.test(one.split('@')[0] ?? ''))
        .map((one) => {
            const [keys = '', after] = one.split('@');
            const press = keys.replaceAll(/[^0-9*#]/g, '');
            return after ? { press, after: Number(after) || 0 } : press;
        });
}

function pressOrWord(text: string) {
    const [what = '', after] = text.split('@');
    const when = after ? { after: Number(after) || 0 } : {};
    if (/\p{L}/u.test(what)) return { says: what.trim(), ...when };
    const press = what.replaceAll(/[^0-9*#]/g, '');
    return after ? { press, ...when } : press;
}

/** "0@6, #": 0 after 6 s at the first step that has keys, # at the next; "-" is nothing at one. */
function pressesMeanwhile(text: string): { press: string; after: number | null }[] {
    return text
        .split(/[\s,]+/)
        .filter(Boolean)
        .map((one) => {
            const [keys = '', after] = one.split('@');
            return { press: keys.replaceAll(/[^0-9*#]/g, ''), after: after ? Number(after) || 0 : null };
        });
}

/** Now, on this computer's clock as it is in the zone, to the minute; where there is no such zone, in the computer's own. */
export function nowIn(zone: string): string {
    const format = (timeZone?: string) =>
        new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(new Date());
    let now: string;
    try {
        now = format(zone || undefined);
    } catch {
        now = format();
    }
    return `${now.replace(' ', 'T')}:00`;
}

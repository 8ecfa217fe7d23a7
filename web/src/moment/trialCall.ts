import type { Acts, TrialCall } from '../api/types';
import { FREE, isParkedStated, isStatus, type Moment, NOTHING_STATED } from './moment';
import { keyPresses, pressesMeanwhile } from './pressed';

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

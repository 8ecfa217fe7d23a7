import type { Hours, Step } from '../api/types';

/** The kinds of step, each with the key that inserts it (k for a menu of keys, since m is a message). */
export const STEP_KINDS: { do: Step['do']; key: string; label: string; about: string }[] = [
    { do: 'say', key: 's', label: 'Say', about: 'plays a prompt' },
    { do: 'hours', key: 'h', label: 'Hours', about: 'branches on open, closed …' },
    { do: 'menu', key: 'k', label: 'Menu', about: 'asks for a key' },
    { do: 'ring', key: 'r', label: 'Ring', about: 'a person, a team, an outside number' },
    { do: 'message', key: 'm', label: 'Message', about: 'into a mailbox' },
    { do: 'go', key: 'g', label: 'Go', about: 'on in another journey' },
    { do: 'end', key: 'e', label: 'End', about: 'ends the call' },
];

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'];
const RING_EXITS = [
    { on: 'nobody', label: 'nobody answers' },
    { on: 'busy', label: 'busy' },
    { on: 'unreachable', label: 'unreachable' },
    { on: 'refused', label: 'refused' },
];
const MENU_EXITS = [
    { on: 'nothing', label: 'nothing pressed' },
    { on: 'wrong', label: 'wrong key' },
];

/** The ways out that a step can have, with what people call them. */
export function possibleExits(step: Step, hours: Hours | undefined): { on: string; label: string }[] {
    switch (step.do) {
        case 'menu':
            return [...KEYS.map((key) => ({ on: key, label: `key ${key}` })), ...MENU_EXITS];
        case 'ring':
            return RING_EXITS;
        case 'hours':
            return (hours?.states ?? []).map((state) => ({ on: state.key, label: state.name.toLowerCase() }));
        default:
            return [];
    }
}

export function exitLabel(step: Step, on: string, hours: Hours | undefined): string {
    return possibleExits(step, hours).find((one) => one.on === on)?.label ?? on;
}

import type { Hours, Step } from '../api/types';

export const STEP_KINDS: { do: Step['do']; label: string; about: string }[] = [
    { do: 'say', label: 'Say', about: 'plays a prompt' },
    { do: 'hours', label: 'Hours', about: 'branches on open, closed …' },
    { do: 'menu', label: 'Menu', about: 'asks for a key' },
    { do: 'ring', label: 'Ring', about: 'a person, a team, an outside number' },
    { do: 'message', label: 'Message', about: 'into a mailbox' },
    { do: 'go', label: 'Go', about: 'on in another journey' },
    { do: 'end', label: 'End', about: 'ends the call' },
];

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'];
const RING_EXITS = [
    { on: 'nobody', label: 'nobody answers' },
    { on: 'busy', label: 'busy' },
    { on: 'unreachable', label: 'unreachable' },
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

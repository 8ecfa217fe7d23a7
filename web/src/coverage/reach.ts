import type { Coverage, State } from '../api/types';

export type Reach = Coverage['courses'][number]['reach'];

/** Who or what takes calls, as states that pictures draw: somebody first. */
export const REACHES: (State & { key: Reach })[] = [
    { key: 'person', name: 'Phones ring', open: true },
    { key: 'queue', name: 'A queue', open: true },
    { key: 'outside', name: 'A number outside', open: true },
    { key: 'message', name: 'A message', open: false },
    { key: 'announcement', name: 'An announcement', open: false },
    { key: 'nobody', name: 'Nobody', open: false },
];

export const reachName = (reach: Reach) => REACHES.find((one) => one.key === reach)?.name ?? reach;

/** Hours as they are compared: "48 h", "7.5 h". */
export const hoursOf = (seconds: number) => `${Math.round(seconds / 360) / 10} h`;

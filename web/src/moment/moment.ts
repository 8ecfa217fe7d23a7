import type { PhoneAssumption, Status } from '../api/types';

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

export const FREE: AssumedAgent = { signedIn: true, freeAfter: 0, idle: 0, calls: 0, talk: 0 };

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

export const isParkedStated = ({ parked }: Moment) =>
    parked.takenAfter !== null || parked.by !== null || parked.taken.length > 0;

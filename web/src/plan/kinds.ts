import { LIMITS } from '../api/limits';
import type { Element, Kind, Of, Site } from '../api/types';
import type { PlanIndex } from './seenPlan';

/** What a new element is made of beside its kind and its name. */
type Fields<K extends Kind> = Omit<Of<K>, 'id' | 'kind' | 'name'>;

interface KindInfo<K extends Kind> {
    one: string;
    aNew: string;
    many: string;
    /** Of its screen. */
    path: string;
    /** Under which heading its screen stands; null for one that is part of another screen. */
    group: 'reached' | 'answers' | 'where' | 'will happen' | null;
    /** Whether a call can be sent straight to one. */
    takesCalls?: true;
    /** There are never two alike. */
    isUnique?: true;
    /** With sensible defaults; null where something else must exist first. */
    blank: (plan: PlanIndex, site: Site | undefined) => Fields<K> | null;
}

/** Every kind of element, in the order in which screens are listed. */
export const KINDS: { [K in Kind]: KindInfo<K> } = {
    number: {
        isUnique: true,
        one: 'number',
        aNew: 'a new number',
        many: 'Numbers',
        path: 'numbers',
        group: 'reached',
        // It has a field of its own to be typed in.
        blank: () => null,
    },
    journey: {
        one: 'journey',
        aNew: 'a new journey',
        many: 'Journeys',
        path: 'journeys',
        group: 'reached',
        takesCalls: true,
        blank: () => ({ steps: [] }),
    },
    hours: {
        one: 'hours',
        aNew: 'new hours',
        many: 'Hours',
        path: 'hours',
        group: 'reached',
        blank: (_, site) =>
            site
                ? {
                      site: site.id,
                      zone: null,
                      states: [
                          { key: 'open', name: 'Open', open: true },
                          { key: 'closed', name: 'Closed', open: false },
                      ],
                      default: 'closed',
                      week: [{ days: ['mo', 'tu', 'we', 'th', 'fr'], from: '09:00', to: '17:00', state: 'open' }],
                      seasons: [],
                      calendars: [],
                      specialDays: [],
                      codes: [],
                  }
                : null,
    },
    calendar: {
        one: 'calendar',
        aNew: 'a new calendar',
        many: 'Holidays',
        path: 'holidays',
        group: 'reached',
        blank: () => ({ holidays: [] }),
    },
    callers: {
        one: 'list of callers',
        aNew: 'a new list of callers',
        many: 'Callers',
        path: 'callers',
        group: 'reached',
        blank: () => ({ entries: '' }),
    },
    prompt: {
        one: 'prompt',
        aNew: 'a new prompt',
        many: 'Prompts',
        path: 'prompts',
        group: 'reached',
        blank: () => ({ scripts: { en: '' }, voice: '', hours: null, takes: [], inUse: {}, machine: {} }),
    },
    person: {
        isUnique: true,
        one: 'person',
        aNew: 'a new person',
        many: 'People',
        path: 'people',
        group: 'answers',
        takesCalls: true,
        blank: (plan, site) =>
            site
                ? {
                      extension: freeExtension(plan),
                      site: site.id,
                      phones: [
                          {
                              id: 'desk',
                              type: 'desk',
                              label: 'Desk phone',
                              on: true,
                              askFirst: false,
                              confirm: 10,
                              calls: 1,
                          },
                      ],
                      refusesForAll: false,
                      mailbox: null,
                      rules: [],
                      shows: null,
                      listing: { on: true, reason: '', prompt: null },
                  }
                : null,
    },
    team: {
        one: 'team',
        aNew: 'a new team',
        many: 'Teams',
        path: 'teams',
        group: 'answers',
        takesCalls: true,
        blank: () => ({
            pattern: 'all at once',
            members: [],
            memberSeconds: 15,
            widenSeconds: 10,
            followRules: false,
            skipBusy: true,
            pauseSeconds: 0,
        }),
    },
    queue: {
        one: 'queue',
        aNew: 'a new queue',
        many: 'Queues',
        path: 'queues',
        group: 'answers',
        takesCalls: true,
        blank: () => ({
            members: [],
            asking: {
                order: 'longest idle first',
                alertSeconds: 15,
                widenSeconds: 30,
                spillsOver: true,
                notesSeconds: 10,
                missedSeconds: 10,
            },
            taking: { pickUp: 'by hand', word: null },
            duty: { signOutAfter: null, codeIn: '', codePause: '', codeOut: '' },
            waiting: {
                longestSeconds: 300,
                introduction: null,
                announceSeconds: 60,
                tellsPosition: true,
                tellsWait: false,
                leaveKey: null,
            },
            music: { pieces: [], shuffled: false },
            recording: { on: false, notice: null },
            admission: { needsAgent: true, mostWaiting: null, mostExpectedSeconds: null, handlingSeconds: 180 },
            callback: null,
            promise: { percent: 80, seconds: 20, shortSeconds: 0, noticeSeconds: null, notify: [] },
            rank: 1,
            mailbox: null,
        }),
    },
    mailbox: {
        one: 'mailbox',
        aNew: 'a new mailbox',
        many: 'Mailboxes',
        path: 'mailboxes',
        group: 'answers',
        takesCalls: true,
        blank: () => ({
            owners: [],
            greeting: null,
            greetings: { busy: null, unreachable: null },
            away: null,
            nameRecording: null,
            takesMessages: true,
            beep: true,
            longestSeconds: 180,
            notify: [],
            withSound: true,
            transcript: false,
            keys: { skip: '#', leave: null, leaveTo: null, listen: '' },
        }),
    },
    site: {
        one: 'site',
        aNew: 'a new site',
        many: 'Sites',
        path: 'sites',
        group: 'where',
        blank: () => ({
            zone: 'Europe/London',
            country: 'GB',
            language: 'en',
            address: '',
            cadence: null,
            parkPlaces: [],
        }),
    },
    line: {
        one: 'outside line',
        aNew: 'a new outside line',
        many: 'Outside lines',
        path: 'lines',
        group: 'where',
        blank: (_, site) =>
            site
                ? {
                      site: site.id,
                      prefix: '',
                      destinations: ['internal', 'local', 'national', 'mobile', 'emergency'],
                      channels: 2,
                  }
                : null,
    },
    expectation: {
        one: 'expectation',
        aNew: 'a new expectation',
        many: 'Expectations',
        path: 'expectations',
        group: 'will happen',
        blank: () => ({
            calls: { to: [], from: [], keys: null },
            when: { hours: null, states: [], calendar: null, windows: [] },
            promise: { that: 'ends with', outcomes: ['person', 'message'] },
        }),
    },
    settings: {
        isUnique: true,
        one: 'settings',
        aNew: 'settings',
        many: 'Plan files',
        path: 'files',
        group: null,
        blank: () => ({
            loudness: LIMITS.settings.loudness.usual,
            longestWait: LIMITS.settings.longestWait.usual,
            silences: [],
        }),
    },
};

export const ALL_KINDS = Object.keys(KINDS) as Kind[];

/** Those of elements that a call can be sent straight to. */
export const TAKING_CALLS = ALL_KINDS.filter((kind) => KINDS[kind].takesCalls);

/** A new element with sensible defaults; null where something else must exist first. */
export function newElement(kind: Kind, name: string, plan: PlanIndex): Omit<Element, 'id'> | null {
    const fields = KINDS[kind].blank(plan, usualSite(plan));
    return fields && ({ kind, name, ...fields } as Omit<Element, 'id'>);
}

/** The site that most people, numbers and hours belong to. */
export function usualSite(plan: PlanIndex): Site | undefined {
    const used = new Map<string, number>();
    for (const element of [...plan.all('person'), ...plan.all('number'), ...plan.all('hours')]) {
        used.set(element.site, (used.get(element.site) ?? 0) + 1);
    }
    return plan.all('site').toSorted((a, b) => (used.get(b.id) ?? 0) - (used.get(a.id) ?? 0))[0];
}

function freeExtension(plan: PlanIndex): string {
    const taken = new Set(plan.all('person').map((person) => person.extension));
    for (let candidate = 200; candidate < 100000; candidate++) {
        if (!taken.has(String(candidate))) return String(candidate);
    }
    return '';
}

import type { Element, Kind, Site, Step } from '../api/types';
import type { PlanIndex } from './usePlan';

export interface KindInfo {
    one: string;
    aNew: string;
    many: string;
    path: string;
}

export const KINDS: Record<Kind, KindInfo> = {
    number: { one: 'number', aNew: 'a new number', many: 'Numbers', path: 'numbers' },
    journey: { one: 'journey', aNew: 'a new journey', many: 'Journeys', path: 'journeys' },
    hours: { one: 'hours', aNew: 'new hours', many: 'Hours', path: 'hours' },
    calendar: { one: 'calendar', aNew: 'a new calendar', many: 'Holidays', path: 'holidays' },
    person: { one: 'person', aNew: 'a new person', many: 'People', path: 'people' },
    team: { one: 'team', aNew: 'a new team', many: 'Teams', path: 'teams' },
    queue: { one: 'queue', aNew: 'a new queue', many: 'Queues', path: 'queues' },
    prompt: { one: 'prompt', aNew: 'a new prompt', many: 'Prompts', path: 'prompts' },
    mailbox: { one: 'mailbox', aNew: 'a new mailbox', many: 'Mailboxes', path: 'mailboxes' },
    site: { one: 'site', aNew: 'a new site', many: 'Sites', path: 'sites' },
    line: { one: 'outside line', aNew: 'a new outside line', many: 'Outside lines', path: 'lines' },
};

/** A new element with sensible defaults; null where something else must exist first. */
export function newElement(kind: Kind, name: string, plan: PlanIndex): Omit<Element, 'id'> | null {
    const site = usualSite(plan);
    if (kind === 'site')
        return { kind, name, zone: 'Europe/London', country: 'GB', language: 'en', address: '', cadence: null } as Omit<
            Element,
            'id'
        >;
    if (kind === 'prompt') return { kind, name, scripts: { en: '' } } as Omit<Element, 'id'>;
    if (kind === 'team')
        return {
            kind,
            name,
            pattern: 'all at once',
            members: [],
            memberSeconds: 15,
            widenSeconds: 10,
            followRules: false,
            skipBusy: true,
            pauseSeconds: 0,
        } as Omit<Element, 'id'>;
    if (kind === 'queue')
        return {
            kind,
            name,
            members: [],
            asking: {
                order: 'longest idle first',
                alertSeconds: 15,
                widenSeconds: 30,
                spillsOver: true,
                notesSeconds: 10,
                missedSeconds: 10,
            },
            waiting: {
                longestSeconds: 300,
                introduction: null,
                music: null,
                announceSeconds: 60,
                tellsPosition: true,
                tellsWait: false,
                leaveKey: null,
            },
            admission: { needsAgent: true, mostWaiting: null, mostExpectedSeconds: null, handlingSeconds: 180 },
            promise: { percent: 80, seconds: 20 },
        } as Omit<Element, 'id'>;
    if (kind === 'mailbox')
        return { kind, name, owners: [], notify: [], greeting: null, longestSeconds: 180 } as Omit<Element, 'id'>;
    if (kind === 'journey') return { kind, name, steps: [] as Step[] } as Omit<Element, 'id'>;
    if (kind === 'calendar') return { kind, name, holidays: [] } as Omit<Element, 'id'>;
    if (!site) return null;
    if (kind === 'person') {
        return {
            kind,
            name,
            extension: freeExtension(plan),
            site: site.id,
            phones: [{ id: 'desk', type: 'desk', label: 'Desk phone', on: true, askFirst: false, calls: 1 }],
            mailbox: null,
            rules: [],
        } as Omit<Element, 'id'>;
    }
    if (kind === 'line') {
        return {
            kind,
            name,
            site: site.id,
            prefix: '',
            destinations: ['internal', 'local', 'national', 'mobile', 'emergency'],
            channels: 2,
        } as Omit<Element, 'id'>;
    }
    if (kind === 'hours') {
        return {
            kind,
            name,
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
        } as Omit<Element, 'id'>;
    }
    return null;
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

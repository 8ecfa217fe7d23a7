import type { PlanIndex } from '../plan/seenPlan';
import type { Assumed, Moment } from './moment';
import { keyPresses } from './pressed';

/** Of more phones it is said how many there are. */
const MOST_PHONES = 2;

/** A key that is pressed so late counts at no menu. */
const NOTHING_COUNTS = 600;

/** Who becomes free for a queue, as far as agents are stated one by one. */
function freeAgents(moment: Moment, queue: string, plan: PlanIndex | undefined): string {
    const agents = Object.entries(moment.agents).filter(([key]) => key.startsWith(`${queue}/`));
    const free = agents.flatMap(([key, { signedIn, freeAfter }]) => {
        const who = key.split('/')[1];
        return signedIn && freeAfter !== null ? [`${plan?.find(who)?.name ?? who} free ${after(freeAfter)}`] : [];
    });
    return agents.length > 0 && agents.every(([, { signedIn }]) => !signedIn) ? 'nobody is signed in' : free.join(', ');
}

function doesInWords(one: Assumed, plan: PlanIndex | undefined): string {
    const [person = '', phone] = one.who.split('/');
    const phones = plan?.all('person').find(({ id }) => id === person)?.phones ?? [];
    const label = phones.length > 1 ? phones.find(({ id }) => id === phone)?.label : undefined;
    const name = one.who === '*' ? 'everybody' : `${plan?.find(person)?.name ?? one.who}${label ? ` (${label})` : ''}`;
    const since = one.from ? `from ${one.from} s on ` : '';
    if (one.does === 'on a call' && one.after !== null)
        return `${since}${name} takes a second call ${after(one.after)}`;
    return one.does === 'answers' || one.does === 'refuses'
        ? `${since}${name} ${one.does} ${after(one.after ?? 0)}`
        : `${since}${name} ${one.does === 'rings' ? 'does not answer' : `is ${one.does}`}`;
}

const after = (seconds: number) => (seconds === 0 ? 'at once' : `after ${seconds} s`);

/** What is taken for granted of a call, in one line. */
export function assumptionsInWords(moment: Moment, plan: PlanIndex | undefined): string {
    const parts: string[] = [];
    const keys = keyPresses(moment.keys).map((one) =>
        typeof one === 'string'
            ? one
            : (one.after ?? 0) >= NOTHING_COUNTS
              ? 'nothing'
              : `${'says' in one ? `“${one.says}”` : one.press}${one.after == null ? '' : ` ${after(one.after)}`}`,
    );
    if (keys.length > 0) parts.push(`${keys.length === 1 ? 'key' : 'keys'} ${keys.join(', ')}`);
    parts.push(...moment.phones.slice(0, MOST_PHONES).map((one) => doesInWords(one, plan)));
    if (moment.phones.length > MOST_PHONES) parts.push(`${moment.phones.length - MOST_PHONES} more`);
    if (moment.meanwhile)
        parts.push(`meanwhile ${moment.meanwhile.replaceAll(/@(\d+)/g, (_, seconds) => ` ${after(Number(seconds))}`)}`);
    if (moment.fax) parts.push('it is a fax');
    if (moment.parked.takenAfter !== null) parts.push(`taken from the park ${after(moment.parked.takenAfter)}`);
    if (moment.parked.taken.length > 0) parts.push(`calls wait at ${moment.parked.taken.join(', ')}`);
    if (moment.patience) parts.push(`gives up after ${moment.patience} s`);
    for (const [id, { ahead, urgentAhead, canWaitAhead, free, leaves, keeps }] of Object.entries(moment.queues)) {
        const waiting = ahead + urgentAhead + canWaitAhead;
        const does = [
            waiting > 0 || freeAgents(moment, id, plan) === '' ? `${waiting} ahead` : '',
            free === null ? freeAgents(moment, id, plan) || 'nobody gets free' : `next agent free ${after(free)}`,
            leaves === null ? '' : `leaves ${after(leaves)}`,
            keeps === null ? '' : `keeps the place ${after(keeps)}`,
        ];
        parts.push(`${plan?.find(id)?.name ?? id}: ${does.filter(Boolean).join(', ')}`);
    }
    for (const id of moment.down) parts.push(`${plan?.find(id)?.name ?? id} is down`);
    if (moment.unforced) parts.push('nothing is forced');
    // What is so anyway comes last: there may be no room for it.
    if (moment.phones.length === 0) parts.push('nobody answers');
    return parts.join(' · ');
}

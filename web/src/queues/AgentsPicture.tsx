import type { Queue, Trace } from '../api/types';
import { clock } from '../call/clock';
import type { AssumedAgent } from '../moment/moment';
import { useAnswer } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { span } from './overflow';
import styles from './queues.module.css';
import { useSignIns } from './useSignIns';

type Standing = 'free' | 'busy' | 'paused' | 'out' | 'off' | 'unstated';

const SHAPES: Record<Standing, string> = {
    free: 'M8 3a5 5 0 1 0 .01 0zM5.6 8.2l1.7 1.7 3.2-3.6',
    busy: 'M8 3a5 5 0 1 0 .01 0zM8 8L8 5M8 8L10.2 9.4',
    paused: 'M6 4.5v7M10 4.5v7',
    out: 'M5 5l6 6M11 5l-6 6',
    off: 'M4.5 8h7',
    unstated: 'M8 3a5 5 0 1 0 .01 0z',
};

/** Agents tier by tier: how each stands when the trial call comes, who is asked, when, and why that one. */
export function AgentsPicture({ queue }: { queue: Queue }) {
    const { moment } = useMoment();
    const { data: trace } = useAnswer();
    const { of } = useSignIns();
    const plan = usePlan();
    const asked = askedOf(queue, trace);
    const tiers = [...new Set(queue.members.map((member) => member.tier))].sort((a, b) => a - b);
    if (tiers.length === 0) return null;
    return (
        <div className={styles.agents}>
            {tiers.map((tier) => (
                <section key={tier} className={styles.tier} aria-label={`Tier ${tier}`}>
                    <p className={styles.joins}>
                        <b>Tier {tier}</b> {joins(queue, tier)}
                    </p>
                    <ul>
                        {queue.members
                            .filter((member) => member.tier === tier)
                            .map(({ who, on }) => {
                                const live = of(queue.id, who);
                                const [standing, words] = !on
                                    ? (['off', 'is not asked'] as const)
                                    : stands(moment.agents[`${queue.id}/${who}`], live?.state, live?.reason);
                                return (
                                    <li key={who} className={`${styles.agent} ${asked.has(who) ? styles.asked : ''}`}>
                                        <svg
                                            width="16"
                                            height="16"
                                            viewBox="0 0 16 16"
                                            aria-hidden="true"
                                            className={styles[standing]}
                                        >
                                            <path d={SHAPES[standing]} />
                                        </svg>
                                        <span>
                                            <b>{plan?.find(who)?.name ?? who}</b> <span className="quiet">{words}</span>
                                            {asked.get(who)?.map(({ second, why }) => (
                                                <span key={second} className={styles.why}>
                                                    asked at {clock(second)}
                                                    {why && `: ${why}`}
                                                </span>
                                            ))}
                                        </span>
                                    </li>
                                );
                            })}
                    </ul>
                </section>
            ))}
        </div>
    );
}

function joins(queue: Queue, tier: number): string {
    const { widenSeconds, spillsOver } = queue.asking;
    if (tier === 1) return 'is asked at once';
    const after = `joins after ${span((tier - 1) * widenSeconds)} of waiting`;
    return spillsOver ? `${after}, or while everybody before it is busy` : after;
}

function stands(stated: AssumedAgent | undefined, live: string | undefined, reason = ''): readonly [Standing, string] {
    if (stated) {
        if (!stated.signedIn) return ['out', 'signed out'];
        if (stated.freeAfter === null) return ['busy', 'on a call'];
        return stated.freeAfter === 0
            ? ['free', `free, idle for ${span(stated.idle)}`]
            : ['busy', `free after ${span(stated.freeAfter)}`];
    }
    if (live === 'signed out') return ['out', 'signed out'];
    if (live === 'paused') return ['paused', reason ? `in a pause: ${reason}` : 'in a pause'];
    return ['unstated', ''];
}

const MOST_TOLD = 3;

/** When each was asked in the trial call, and why that one: the first times only. */
function askedOf(queue: Queue, trace: Trace | undefined): Map<string, { second: number; why: string }[]> {
    const asked = new Map<string, { second: number; why: string }[]>();
    const agents = new Set(queue.members.map((member) => member.who));
    for (const event of trace?.events ?? []) {
        const { turn, phones } = event.because as { turn?: object | null; phones?: { person: string | null }[] };
        if (!turn) continue;
        // The reason begins with the turn's, in one sentence.
        const first = event.reason.split('. ')[0]?.replace(/\.$/, '') ?? '';
        const why = first.charAt(0).toLowerCase() + first.slice(1);
        for (const who of new Set(phones?.map((phone) => phone.person))) {
            if (!who || !agents.has(who)) continue;
            const times = asked.get(who) ?? [];
            if (times.length < MOST_TOLD) asked.set(who, [...times, { second: event.second, why }]);
        }
    }
    return asked;
}

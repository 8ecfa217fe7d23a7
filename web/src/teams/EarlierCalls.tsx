import { Select } from 'antd';
import type { Team } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { NumberInput } from '../ui/NumberInput';
import { without } from '../ui/without';

const NEVER = -1;
const IDLE = [
    { value: NEVER, label: 'no call yet' },
    ...[10, 30, 60, 120, 300, 600, 1800, 3600].map((seconds) => ({
        value: seconds,
        label: seconds < 60 ? `${seconds} s ago` : `${seconds / 60} min ago`,
    })),
];

/** What earlier calls left behind is taken for granted in a trial call: here, where the team's pattern looks back. */
export function EarlierCalls({ team }: { team: Team }) {
    const { moment, change } = useMoment();
    const idle = team.pattern === 'longest idle first' || team.pauseSeconds > 0;
    const calls = team.pattern === 'fewest calls first';
    if (!idle && !calls && team.pattern !== 'rotating' && team.pattern !== 'random') return null;
    return (
        <section aria-label="Before the trial call">
            <h2>Before the trial call</h2>
            {team.pattern === 'rotating' && <RangLast team={team} />}
            {team.pattern === 'random' && (
                <p className="line-row">
                    <span>The order is drawn with the seed</span>
                    <NumberInput
                        label="Seed of the order"
                        unit="(the same seed, the same order)"
                        min={1}
                        max={1000000}
                        value={moment.seed}
                        onSave={(seed) => change({ seed })}
                    />
                </p>
            )}
            {(idle || calls) &&
                team.members.map((member) => <Before key={member.who} who={member.who} idle={idle} calls={calls} />)}
        </section>
    );
}

const NONE: { idle: number | null; calls: number } = { idle: null, calls: 0 };

function Before({ who, idle, calls }: { who: string; idle: boolean; calls: boolean }) {
    const plan = usePlan();
    const { moment, change } = useMoment();
    const before = moment.earlier[who] ?? NONE;
    const name = plan?.find(who.split('/')[0])?.name ?? who;
    const set = (part: Partial<typeof before>) =>
        change(({ earlier }) => {
            const next = { ...NONE, ...earlier[who], ...part };
            const isNone = next.idle === null && next.calls === 0;
            return { earlier: isNone ? without(earlier, who) : { ...earlier, [who]: next } };
        });
    return (
        <div className="line-row">
            <span className="before-who">{name}</span>
            {idle && (
                <Select
                    aria-label={`Last call of ${name}`}
                    size="small"
                    style={{ width: 130 }}
                    value={before.idle ?? NEVER}
                    options={
                        before.idle === null || IDLE.some((one) => one.value === before.idle)
                            ? IDLE
                            : [...IDLE, { value: before.idle, label: `${before.idle} s ago` }]
                    }
                    onChange={(seconds) => set({ idle: seconds === NEVER ? null : seconds })}
                />
            )}
            {calls && (
                <NumberInput
                    label={`Calls of ${name} today`}
                    unit="calls today"
                    min={0}
                    max={1000}
                    value={before.calls}
                    onSave={(count) => set({ calls: count })}
                />
            )}
        </div>
    );
}

function RangLast({ team }: { team: Team }) {
    const plan = usePlan();
    const { moment, change } = useMoment();
    return (
        <p className="line-row">
            The one who rang last is{' '}
            <Select
                aria-label="Who rang last"
                size="small"
                style={{ width: 200 }}
                value={moment.last[team.id] ?? ''}
                options={[
                    { value: '', label: 'nobody yet' },
                    ...team.members.map((one) => ({
                        value: one.who,
                        label: plan?.find(one.who)?.name ?? one.who,
                    })),
                ]}
                onChange={(who) =>
                    change(({ last }) => ({
                        last: who ? { ...last, [team.id]: who } : without(last, team.id),
                    }))
                }
            />
        </p>
    );
}

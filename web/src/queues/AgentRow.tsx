import { Button, Select } from 'antd';
import { Link } from 'react-router';
import { LIMITS } from '../api/limits';
import type { Queue } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { MemberFrame } from '../ui/MemberFrame';
import type { RowActs } from '../ui/rowActs';
import { TIERS } from '../ui/tiers';
import { AgentStateLine, useAssumedAgent } from './AgentStateLine';

type Member = Queue['members'][number];

const CALLS = Array.from({ length: LIMITS.queueMember.calls.max }, (_, i) => ({
    value: i + 1,
    label: i === 0 ? 'one call' : `${i + 1} calls at once`,
}));

/** An agent of a queue, in place: on or off, the tier, and how they stand in the trial call. */
export function AgentRow({
    queue,
    member,
    rang,
    acts,
    disabled,
    error,
    at,
}: {
    queue: string;
    member: Member;
    /** When they were asked in the trial call. */
    rang: string;
    acts: RowActs<Member>;
    disabled: boolean;
    error: string | undefined;
    /** Its place in the element. */
    at: string;
}) {
    const plan = usePlan();
    const { search } = useMoment();
    const name = plan?.find(member.who)?.name ?? member.who;
    const { state, set, clear } = useAssumedAgent(queue, member.who);
    return (
        <MemberFrame
            name={name}
            title={
                <>
                    <Link className="quiet-link" to={{ pathname: `/people/${member.who}`, search }}>
                        {name}
                    </Link>{' '}
                    <span className="quiet">{rang}</span>
                </>
            }
            does="is asked for this queue"
            member={member}
            acts={acts}
            disabled={disabled}
            error={error}
            at={at}
            below={state && <AgentStateLine name={name} state={state} set={set} clear={clear} />}
        >
            <Select
                aria-label={`Tier of ${name}`}
                size="small"
                style={{ width: 82 }}
                value={member.tier}
                disabled={disabled}
                options={TIERS}
                onChange={(tier) => acts.change({ ...member, tier })}
            />
            <Select
                aria-label={`Calls that ${name} has at once`}
                size="small"
                style={{ width: 118 }}
                value={member.calls}
                disabled={disabled}
                options={CALLS}
                onChange={(calls) => acts.change({ ...member, calls })}
            />
            {!state && (
                <Button
                    size="small"
                    type="text"
                    aria-label={`State how ${name} stands in the trial call`}
                    onClick={() => set({})}
                >
                    In this call …
                </Button>
            )}
        </MemberFrame>
    );
}

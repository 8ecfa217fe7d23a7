import { Button, Select, Switch } from 'antd';
import { Link } from 'react-router';
import type { Finding, Queue } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { Findings } from '../ui/Findings';
import { MoveButton, RemoveButton } from '../ui/RowButtons';
import { AgentStateLine, useAssumedAgent } from './AgentStateLine';

type Member = Queue['members'][number];

const TIERS = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((tier) => ({ value: tier, label: `tier ${tier}` }));

/** An agent of a queue, in place: on or off, and the tier. */
export function AgentRow({
    queue,
    member,
    rang,
    disabled,
    error,
    found,
    onChange,
    onUp,
    onDown,
    onRemove,
}: {
    queue: string;
    member: Member;
    /** When they were asked in the trial call. */
    rang: string;
    disabled: boolean;
    error: string | undefined;
    found: Finding[];
    onChange: (member: Member) => void;
    onUp: (() => void) | undefined;
    onDown: (() => void) | undefined;
    onRemove: () => void;
}) {
    const plan = usePlan();
    const { search } = useMoment();
    const name = plan?.find(member.who)?.name ?? member.who;
    const assumed = useAssumedAgent(queue, member.who);
    return (
        <li className={member.on ? '' : 'off'}>
            <div className="line-row wrap">
                <span className="grow">
                    <Link className="quiet-link" to={{ pathname: `/people/${member.who}`, search }}>
                        {name}
                    </Link>{' '}
                    <span className="quiet">{rang}</span>
                </span>
                {!assumed.state && (
                    <Button
                        size="small"
                        type="text"
                        aria-label={`State how ${name} stands in the trial call`}
                        onClick={() => assumed.set({})}
                    >
                        In this call …
                    </Button>
                )}
                <Switch
                    size="small"
                    aria-label={`${name} is asked for this queue`}
                    checked={member.on}
                    disabled={disabled}
                    onChange={(on) => onChange({ ...member, on })}
                />
                <Select
                    aria-label={`Tier of ${name}`}
                    size="small"
                    style={{ width: 82 }}
                    value={member.tier}
                    disabled={disabled}
                    options={TIERS}
                    onChange={(tier) => onChange({ ...member, tier })}
                />
                {!disabled && (
                    <>
                        <MoveButton what={name} way="up" onClick={onUp} />
                        <MoveButton what={name} way="down" onClick={onDown} />
                        <RemoveButton label={`Remove ${name}`} onClick={onRemove} />
                    </>
                )}
            </div>
            {assumed.state && (
                <AgentStateLine name={name} state={assumed.state} set={assumed.set} clear={assumed.clear} />
            )}
            <Findings found={found} />
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </li>
    );
}

import { Checkbox, Select, Switch } from 'antd';
import { LIMITS } from '../api/limits';
import type { Finding, Rung } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { Findings } from '../ui/Findings';
import { RingTimeInput } from '../ui/RingTimeInput';
import { MoveButton, RemoveButton } from '../ui/RowButtons';
import type { Member } from './patterns';

const USUAL_SECONDS = 15;

/** Somebody in a team, in place: on or off, the tier, how long at most, and whether they are asked first. */
export function MemberRow({
    member,
    tiers,
    rung,
    disabled,
    error,
    found,
    onChange,
    onUp,
    onDown,
    onRemove,
}: {
    member: Member;
    tiers: boolean;
    rung: Rung[];
    disabled: boolean;
    error: string | undefined;
    found: Finding[];
    onChange: (member: Member) => void;
    onUp: (() => void) | undefined;
    onDown: (() => void) | undefined;
    onRemove: () => void;
}) {
    const plan = usePlan();
    const [id, phone] = member.who.split('/');
    const person = plan?.get('person', id);
    const name = person
        ? `${person.name}${phone ? `: ${person.phones.find((one) => one.id === phone)?.label ?? phone}` : ''}`
        : member.who;
    const rang = rung.find((one) => one.until > one.from);
    return (
        <li className={member.on ? '' : 'off'}>
            <div className="line-row wrap">
                <span className="grow">
                    {name}{' '}
                    <span className="quiet">{rang ? `rings ${rang.from}–${rang.until} s into this call` : ''}</span>
                </span>
                <Switch
                    size="small"
                    aria-label={`${name} rings in this team`}
                    checked={member.on}
                    disabled={disabled}
                    onChange={(on) => onChange({ ...member, on })}
                />
                {tiers && (
                    <Select
                        aria-label={`Tier of ${name}`}
                        size="small"
                        style={{ width: 82 }}
                        value={member.tier}
                        disabled={disabled}
                        options={[1, 2, 3, 4, 5, 6, 7, 8, 9].map((tier) => ({ value: tier, label: `tier ${tier}` }))}
                        onChange={(tier) => onChange({ ...member, tier })}
                    />
                )}
                <Checkbox
                    checked={member.seconds !== null}
                    disabled={disabled}
                    onChange={(event) => onChange({ ...member, seconds: event.target.checked ? USUAL_SECONDS : null })}
                >
                    at most
                </Checkbox>
                {member.seconds !== null && (
                    <RingTimeInput
                        label={`Seconds that ${name} rings at most`}
                        {...LIMITS.teamMember.seconds}
                        value={member.seconds}
                        disabled={disabled}
                        onSave={(seconds) => onChange({ ...member, seconds })}
                    />
                )}
                <Checkbox
                    checked={member.askFirst}
                    disabled={disabled}
                    onChange={(event) => onChange({ ...member, askFirst: event.target.checked })}
                >
                    ask first
                </Checkbox>
                {!disabled && (
                    <>
                        <MoveButton what={name} way="up" onClick={onUp} />
                        <MoveButton what={name} way="down" onClick={onDown} />
                        <RemoveButton label={`Remove ${name}`} onClick={onRemove} />
                    </>
                )}
            </div>
            <Findings found={found} />
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </li>
    );
}

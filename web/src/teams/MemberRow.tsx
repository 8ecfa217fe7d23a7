import { Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Rung } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { MemberFrame } from '../ui/MemberFrame';
import { RingTimeInput } from '../ui/RingTimeInput';
import type { RowActs } from '../ui/rowActs';
import { TIERS } from '../ui/tiers';
import type { Member } from './patterns';

const USUAL_SECONDS = 15;

/** Somebody in a team, in place: on or off, the tier, how long at most, and whether they are asked first. */
export function MemberRow({
    member,
    tiers,
    rung,
    acts,
    disabled,
    error,
    at,
}: {
    member: Member;
    tiers: boolean;
    rung: Rung[];
    acts: RowActs<Member>;
    disabled: boolean;
    error: string | undefined;
    /** Its place in the element. */
    at: string;
}) {
    const plan = usePlan();
    const [id, phone] = member.who.split('/');
    const person = plan?.get('person', id);
    const name = person
        ? `${person.name}${phone ? `: ${person.phones.find((one) => one.id === phone)?.label ?? phone}` : ''}`
        : member.who;
    const rang = rung.find((one) => one.until > one.from);
    return (
        <MemberFrame
            name={name}
            title={
                <>
                    {name}{' '}
                    <span className="quiet">{rang ? `rings ${rang.from}–${rang.until} s into this call` : ''}</span>
                </>
            }
            does="rings in this team"
            member={member}
            acts={acts}
            disabled={disabled}
            error={error}
            at={at}
        >
            {tiers && (
                <Select
                    aria-label={`Tier of ${name}`}
                    size="small"
                    style={{ width: 82 }}
                    value={member.tier}
                    disabled={disabled}
                    options={TIERS}
                    onChange={(tier) => acts.change({ ...member, tier })}
                />
            )}
            <Checkbox
                checked={member.seconds !== null}
                disabled={disabled}
                onChange={(event) => acts.change({ ...member, seconds: event.target.checked ? USUAL_SECONDS : null })}
            >
                at most
            </Checkbox>
            {member.seconds !== null && (
                <RingTimeInput
                    label={`Seconds that ${name} rings at most`}
                    {...LIMITS.teamMember.seconds}
                    value={member.seconds}
                    disabled={disabled}
                    onSave={(seconds) => acts.change({ ...member, seconds })}
                />
            )}
            <Checkbox
                checked={member.askFirst}
                disabled={disabled}
                onChange={(event) => acts.change({ ...member, askFirst: event.target.checked })}
            >
                ask first
            </Checkbox>
        </MemberFrame>
    );
}

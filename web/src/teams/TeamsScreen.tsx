import { Checkbox, Radio, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Team } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { usualSite } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { TeamRings } from '../ringing/TeamRings';
import { AddPerson } from '../ui/AddPerson';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { FindingsAt } from '../ui/FindingsAt';
import { NumberInput } from '../ui/NumberInput';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { RingTimeInput } from '../ui/RingTimeInput';
import { rowActs } from '../ui/rowActs';
import { BY_LABEL } from '../ui/searched';
import { EarlierCalls } from './EarlierCalls';
import { MemberRow } from './MemberRow';
import { PatternPicker } from './PatternPicker';
import { newMember, PATTERNS } from './patterns';

export function TeamsScreen() {
    return (
        <ElementScreen
            kind="team"
            empty="There is no team yet. Name one below, then put people into it."
            note={(team) =>
                `${team.members.length} ${team.members.length === 1 ? 'member' : 'members'}, ${team.pattern}`
            }
            editor={(props) => <TeamEditor {...props} />}
        />
    );
}

function TeamEditor(props: EditorProps<Team>) {
    const { value, change, disabled } = props;
    return (
        <>
            <HowItRings {...props} />
            <Members {...props} />
            <TeamRings key={value.id} value={value} disabled={disabled} change={change} />
            <EarlierCalls team={value} />
        </>
    );
}

/** In which order its members ring, for how long, and on which phones. */
function HowItRings({ value, change, error, disabled }: EditorProps<Team>) {
    const pattern = PATTERNS.find((one) => one.pattern === value.pattern);
    return (
        <>
            <Field label="How it rings" error={error('/pattern')} wide>
                {(a11y) => (
                    <PatternPicker
                        id={a11y.id}
                        value={value.pattern}
                        disabled={disabled}
                        onChange={(pattern) => change({ ...value, pattern })}
                    />
                )}
            </Field>
            {pattern?.inTurn && (
                <p className="line-row">
                    Each rings for{' '}
                    <RingTimeInput
                        label="Seconds each member rings"
                        {...LIMITS.team.memberSeconds}
                        value={value.memberSeconds}
                        disabled={disabled}
                        onSave={(memberSeconds) => change({ ...value, memberSeconds })}
                    />
                </p>
            )}
            {value.pattern === 'widening' && (
                <p className="line-row">
                    The next tier joins after{' '}
                    <RingTimeInput
                        label="Seconds until the next tier joins"
                        {...LIMITS.team.widenSeconds}
                        value={value.widenSeconds}
                        disabled={disabled}
                        onSave={(widenSeconds) => change({ ...value, widenSeconds })}
                    />
                </p>
            )}
            <FindingsAt pointer="/memberSeconds" />
            <Field label="Which phones of a member ring" wide>
                {(a11y) => (
                    <Radio.Group
                        id={a11y.id}
                        aria-label="Which phones of a member ring"
                        className="stacked"
                        value={value.followRules}
                        disabled={disabled}
                        onChange={(event) => change({ ...value, followRules: event.target.value })}
                        options={[
                            { value: false, label: 'All of them, also of somebody who is away: the team decides' },
                            { value: true, label: 'As the member’s answering rules say: the member decides' },
                        ]}
                    />
                )}
            </Field>
            <div className="line-row wrap">
                <Checkbox
                    checked={value.skipBusy}
                    disabled={disabled}
                    onChange={(event) => change({ ...value, skipBusy: event.target.checked })}
                >
                    pass over who is on a call
                </Checkbox>
                <span>and leave everybody a pause after a call of</span>
                <NumberInput
                    label="Seconds of pause after a call"
                    unit="s"
                    {...LIMITS.team.pauseSeconds}
                    value={value.pauseSeconds}
                    disabled={disabled}
                    onSave={(pauseSeconds) => change({ ...value, pauseSeconds })}
                />
            </div>
        </>
    );
}

function Members({ value, change, error, disabled }: EditorProps<Team>) {
    const plan = usePlan();
    const { data: trace } = useAnswer();
    const country = (plan && usualSite(plan)?.country) ?? 'GB';
    const add = (who: string) => change({ ...value, members: [...value.members, newMember(who)] });
    return (
        <>
            <h2>Members</h2>
            <FindingsAt pointer="/members" />
            <ol className="members">
                {value.members.map((member, i) => (
                    <MemberRow
                        key={member.who}
                        member={member}
                        tiers={value.pattern === 'widening'}
                        rung={trace?.rung.filter((one) => one.person === member.who || one.phone === member.who) ?? []}
                        disabled={disabled}
                        error={error(`/members/${i}`)}
                        at={`/members/${i}`}
                        acts={rowActs(value.members, i, (members) => change({ ...value, members }))}
                    />
                ))}
            </ol>
            {!disabled && (
                <div className="fields">
                    <AddPerson label="Add a member" exclude={value.members.map((one) => one.who)} onAdd={add} />
                    <Field label="Add a single phone">
                        {(a11y) => (
                            <Select
                                {...a11y}
                                aria-label="Add a single phone"
                                showSearch={BY_LABEL}
                                value={null}
                                placeholder="Only that one rings"
                                options={(plan?.all('person') ?? []).flatMap((person) =>
                                    person.phones.map((phone) => ({
                                        value: `${person.id}/${phone.id}`,
                                        label: `${person.name}: ${phone.label}`,
                                    })),
                                )}
                                onChange={(who: string | null) => who && add(who)}
                            />
                        )}
                    </Field>
                    <PhoneNumberField label="Add a number outside" value="" country={country} site="" onSave={add} />
                </div>
            )}
        </>
    );
}

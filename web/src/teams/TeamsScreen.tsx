import { Button, Radio } from 'antd';
import type { Team } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';

export function TeamsScreen() {
    return (
        <ElementScreen
            kind="team"
            empty="There is no team yet. Name one below, then put people into it."
            note={(team) => `${team.members.length} ${team.members.length === 1 ? 'member' : 'members'}`}
            editor={(props) => <TeamEditor {...props} />}
        />
    );
}

function TeamEditor({ value, change, error, disabled }: EditorProps<Team>) {
    const plan = usePlan();
    const { data: trace } = useAnswer();
    const rung = (person: string) => trace?.rung.filter((one) => one.person === person && one.until > one.from) ?? [];
    const swap = (i: number, j: number) => {
        const [a, b] = [value.members[i], value.members[j]];
        if (a && b) change({ ...value, members: value.members.with(i, b).with(j, a) });
    };
    return (
        <>
            <Field label="How it rings" error={error('/pattern')} wide>
                {(a11y) => (
                    <Radio.Group
                        id={a11y.id}
                        aria-label="How it rings"
                        value={value.pattern}
                        disabled={disabled}
                        onChange={(event) => change({ ...value, pattern: event.target.value })}
                    >
                        <Radio value="all at once">All at once: the first to answer has the call</Radio>
                        <Radio value="one after the other">One after the other, in this order</Radio>
                    </Radio.Group>
                )}
            </Field>
            {value.pattern === 'one after the other' && (
                <p className="line-row">
                    Each rings for{' '}
                    <NumberInput
                        label="Seconds each member rings"
                        unit="s"
                        min={1}
                        max={300}
                        value={value.memberSeconds}
                        disabled={disabled}
                        onSave={(memberSeconds) => change({ ...value, memberSeconds })}
                    />
                </p>
            )}
            <h2>Members</h2>
            {value.members.length === 0 && <p className="quiet">Nobody is in this team, so nothing rings.</p>}
            <ol className="members">
                {value.members.map((id, i) => (
                    <li key={id}>
                        <span className="grow">
                            {plan?.find(id)?.name}{' '}
                            <span className="quiet">
                                {rung(id).length > 0
                                    ? `rings ${rung(id)[0]?.from}–${rung(id)[0]?.until} s into this call`
                                    : ''}
                            </span>
                        </span>
                        {!disabled && (
                            <>
                                <Button
                                    size="small"
                                    type="text"
                                    aria-label={`Move ${plan?.find(id)?.name} up`}
                                    disabled={i === 0}
                                    onClick={() => swap(i, i - 1)}
                                >
                                    ↑
                                </Button>
                                <Button
                                    size="small"
                                    type="text"
                                    aria-label={`Move ${plan?.find(id)?.name} down`}
                                    disabled={i === value.members.length - 1}
                                    onClick={() => swap(i, i + 1)}
                                >
                                    ↓
                                </Button>
                                <Button
                                    size="small"
                                    type="text"
                                    aria-label={`Remove ${plan?.find(id)?.name}`}
                                    onClick={() => change({ ...value, members: value.members.toSpliced(i, 1) })}
                                >
                                    ✕
                                </Button>
                            </>
                        )}
                    </li>
                ))}
            </ol>
            {error('/members') && <p className="alarm">{error('/members')}</p>}
            {!disabled && (
                <Field label="Add a member">
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            label="Add a member"
                            kinds={['person']}
                            exclude={value.members}
                            value={null}
                            placeholder="Choose or name somebody"
                            onChange={(id) => id && change({ ...value, members: [...value.members, id] })}
                        />
                    )}
                </Field>
            )}
        </>
    );
}

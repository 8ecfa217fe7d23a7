import type { Queue } from '../api/types';
import { clock } from '../call/clock';
import { useAnswer } from '../moment/useAnswer';
import { AddPerson } from '../ui/AddPerson';
import type { EditorProps } from '../ui/ElementScreen';
import { rowActs } from '../ui/rowActs';
import { AgentRow } from './AgentRow';
import { AgentsPicture } from './AgentsPicture';

/** Who takes calls of the queue, as a picture and as rows to be edited. */
export function AgentsSection({ value, change, error, disabled }: EditorProps<Queue>) {
    const { data: trace } = useAnswer();
    const rang = (who: string) => {
        const times = trace?.rung.filter((one) => one.person === who && one.until > one.from) ?? [];
        return times.length === 0 ? '' : `asked at ${[...new Set(times.map((one) => clock(one.from)))].join(', ')}`;
    };
    return (
        <>
            <h2>Agents</h2>
            <AgentsPicture queue={value} />
            <ol className="members">
                {value.members.map((member, i) => (
                    <AgentRow
                        key={member.who}
                        queue={value.id}
                        member={member}
                        rang={rang(member.who)}
                        disabled={disabled}
                        error={error(`/members/${i}`)}
                        at={`/members/${i}`}
                        acts={rowActs(value.members, i, (members) => change({ ...value, members }))}
                    />
                ))}
            </ol>
            {!disabled && (
                <AddPerson
                    label="Add an agent"
                    exclude={value.members.map((one) => one.who)}
                    onAdd={(who) =>
                        change({ ...value, members: [...value.members, { who, tier: 1, on: true, calls: 1 }] })
                    }
                />
            )}
        </>
    );
}

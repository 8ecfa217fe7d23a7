import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Queue, SignInState } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { LineInput } from '../ui/LineInput';
import { useSignIns } from './useSignIns';

const STATES: { value: SignInState; label: string }[] = [
    { value: 'signed in', label: 'signed in' },
    { value: 'paused', label: 'in a pause' },
    { value: 'signed out', label: 'signed out' },
];

/** Who is on what right now: agents down, queues across. Live at once, whatever is published. */
export function OnDutyScreen() {
    const plan = usePlan();
    const { search } = useMoment();
    if (!plan) return null;
    const queues = plan.all('queue');
    const agents = [...new Set(queues.flatMap((queue) => queue.members.map((member) => member.who)))]
        .map((id) => ({ id, name: plan.find(id)?.name ?? id }))
        .sort((a, b) => a.name.localeCompare(b.name));
    return (
        <div className="one">
            <section className="sheet" aria-label="On duty">
                <h1>Who is on what, now</h1>
                <p className="quiet">
                    Live at once: whoever is signed out or in a pause is not asked for calls of that queue.
                </p>
                {agents.length === 0 ? (
                    <p className="quiet">There is no queue with agents yet.</p>
                ) : (
                    <div className="wide-table">
                        <table className="duty">
                            <thead>
                                <tr>
                                    <th scope="col">Agent</th>
                                    {queues.map((queue) => (
                                        <th key={queue.id} scope="col">
                                            <Link to={{ pathname: `/queues/${queue.id}`, search }}>{queue.name}</Link>
                                        </th>
                                    ))}
                                </tr>
                            </thead>
                            <tbody>
                                {agents.map((agent) => (
                                    <tr key={agent.id}>
                                        <th scope="row">
                                            <Link to={{ pathname: `/people/${agent.id}`, search }}>{agent.name}</Link>
                                        </th>
                                        {queues.map((queue) => (
                                            <td key={queue.id}>
                                                <DutyCell queue={queue} person={agent} />
                                            </td>
                                        ))}
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
            </section>
            <Log />
        </div>
    );
}

/** Somebody who is off in a queue is never asked: they look after the others only. */
function DutyCell({ queue, person }: { queue: Queue; person: { id: string; name: string } }) {
    const member = queue.members.find((one) => one.who === person.id);
    if (!member) return null;
    return member.on ? <SignInCell queue={queue} person={person} /> : <span className="quiet">supervises only</span>;
}

function SignInCell({ queue, person }: { queue: Queue; person: { id: string; name: string } }) {
    const { of, set } = useSignIns();
    const told = useWrite();
    const now = of(queue.id, person.id);
    const change = (state: SignInState, reason: string) => told(() => set(queue.id, person.id, state, reason));
    return (
        <span className="line-row tight">
            <Select
                aria-label={`${person.name} in ${queue.name}`}
                size="small"
                style={{ width: 120 }}
                value={now?.state ?? 'signed in'}
                options={STATES}
                onChange={(state) => change(state, '')}
            />
            {now?.state === 'paused' && (
                <LineInput
                    label={`Why ${person.name} is in a pause in ${queue.name}`}
                    width={120}
                    placeholder="why"
                    maxLength={200}
                    value={now.reason}
                    onSave={(reason) => change('paused', reason)}
                />
            )}
        </span>
    );
}

function Log() {
    const plan = usePlan();
    const log = useQuery({ queryKey: ['sign-in-log'], queryFn: () => ask(api.GET('/api/sign-ins/log')) }).data?.signIns;
    const name = (id: string) => plan?.find(id)?.name ?? id;
    return (
        <section className="sheet" aria-label="Signed in and out">
            <h2>What was changed lately</h2>
            {log?.length === 0 && <p className="quiet">Nothing yet: every agent is signed in.</p>}
            <ol className="changes">
                {log?.map((one, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: a log only grows at its head
                    <li key={i} className="change">
                        <time dateTime={one.setAt} className="quiet figures">
                            {new Date(one.setAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'medium' })}
                        </time>
                        <span>
                            <b>{name(one.person)}</b> {STATES.find(({ value }) => value === one.state)?.label}{' '}
                            <span className="quiet">
                                {name(one.queue)}
                                {one.reason && ` · ${one.reason}`} · by {one.who}
                            </span>
                        </span>
                    </li>
                ))}
            </ol>
        </section>
    );
}

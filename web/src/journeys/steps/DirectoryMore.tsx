import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import type { Step } from '../../api/types';
import { useMoment } from '../../moment/useMoment';
import { usePlan } from '../../plan/usePlan';
import { Dialling, USUAL_DIAL } from './Dialling';
import type { StepOf } from './module';
import styles from './steps.module.css';

type Directory = StepOf<'directory'>;

const MOST_SHOWN = 12;

/** Who may be reached, how many presses each takes, and who cannot be told apart by their keys. */
export function DirectoryMore({ step, onChange }: { step: Directory; onChange: (step: Step) => void }) {
    return (
        <div className="menu-more">
            <div className="line-row wrap">
                <span>Reaches</span>
                <Dialling dial={step.dial ?? USUAL_DIAL} onChange={(dial) => onChange({ ...step, dial })} />
            </div>
            <WhoIsFound step={step} />
        </div>
    );
}

function WhoIsFound({ step }: { step: Directory }) {
    const plan = usePlan();
    const { moment } = useMoment();
    const [find, setFind] = useState('');
    const { exits: _, ...asked } = step;
    const look = useQuery({
        queryKey: ['directory', moment.in, plan?.stamp, asked, find],
        queryFn: () =>
            ask(api.POST('/api/directories', { body: { in: moment.in, step: { ...asked, exits: [] }, find } })),
        placeholderData: keepPreviousData,
    }).data;
    if (!look) return null;
    const name = (id: string) => plan?.find(id)?.name ?? id;
    return (
        <section aria-label="Who is found how" className={styles.block}>
            <p>
                <b>{look.people}</b> can be reached, <b>{look.people - look.chosen - look.never}</b> by their keys
                alone, <b>{look.chosen}</b> by choosing among several
                {look.never > 0 && (
                    <span className="alarm">
                        , {look.never} never: more than {step.most} are spelled so
                    </span>
                )}
                .
            </p>
            <Input
                aria-label="Look somebody up"
                size="small"
                style={{ width: 200 }}
                placeholder="Look somebody up"
                allowClear
                value={find}
                onChange={(event) => setFind(event.target.value)}
            />
            <table className={styles.table}>
                <thead>
                    <tr>
                        <th scope="col">Person</th>
                        <th scope="col">Keys</th>
                        <th scope="col">Presses</th>
                        <th scope="col">Read out with</th>
                    </tr>
                </thead>
                <tbody>
                    {look.rows.slice(0, MOST_SHOWN).map((row) => (
                        <tr key={row.person}>
                            <th scope="row">{name(row.person)}</th>
                            <td className="figures">{row.keys}</td>
                            <td className="figures">{row.presses ?? 'never'}</td>
                            <td>{row.alike.map(name).join(', ')}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {look.found > MOST_SHOWN && <p className="quiet">{look.found - MOST_SHOWN} more: look them up.</p>}
            {look.notListed.length > 0 && <NotListed people={look.notListed} />}
        </section>
    );
}

function NotListed({ people }: { people: { person: string; reason: string }[] }) {
    const plan = usePlan();
    const { search } = useMoment();
    return (
        <p className="quiet">
            Not listed:{' '}
            {people.slice(0, MOST_SHOWN).map(({ person, reason }, i) => (
                <span key={person}>
                    {i > 0 && ', '}
                    <Link to={{ pathname: `/people/${person}`, search }}>{plan?.find(person)?.name ?? person}</Link>
                    {reason && ` (${reason})`}
                </span>
            ))}
            {people.length > MOST_SHOWN && ` and ${people.length - MOST_SHOWN} more`}
        </p>
    );
}

import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Acts, Endings } from '../api/types';
import { assumptionsInWords } from '../moment/assumptionsInWords';
import { fromActs } from '../moment/trialCall';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { capital } from '../ui/capital';
import { clock } from './clock';
import { EndingIcon } from './EndingIcon';
import { useEndings } from './useEndings';

type One = Endings['endings'][number];

/** Every way in which the call can end, how soon and how late; each is put into the bar with one click. */
export function EveryEnding() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const [isOpen, setIsOpen] = useState(false);
    const { data, error, isFetching } = useEndings(isOpen);
    const put = (acts: Acts) => change(fromActs(acts));
    return (
        <section className="sheet" aria-label="Every ending">
            <h2>How else can this call end?</h2>
            <p>
                <Button
                    size="small"
                    aria-expanded={isOpen}
                    loading={isOpen && isFetching}
                    onClick={() => setIsOpen(!isOpen)}
                >
                    {isOpen ? 'Hide the endings' : 'Show every ending'}
                </Button>{' '}
                <span className="quiet">whatever callers press, whoever answers, is busy or refuses</span>
            </p>
            {isOpen && error && <p className="alarm">{error.message}</p>}
            {isOpen && data && (
                <>
                    <table className="endings">
                        <thead>
                            <tr>
                                <th scope="col">Ending</th>
                                <th scope="col">Soonest</th>
                                <th scope="col">Latest</th>
                            </tr>
                        </thead>
                        <tbody>
                            {data.endings.map((one) => (
                                <tr key={one.words}>
                                    <td>
                                        <EndingIcon kind={one.ending.kind} /> {capital(one.words)}
                                        <div className="quiet">
                                            {assumptionsInWords({ ...moment, ...fromActs(one.leastBy) }, plan)}
                                        </div>
                                    </td>
                                    <td>
                                        <Try one={one} at={one.least} name="soonest" onTry={() => put(one.leastBy)} />
                                    </td>
                                    <td>
                                        <Try one={one} at={one.most} name="latest" onTry={() => put(one.mostBy)} />
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    <NotTried all={data.notTried} />
                </>
            )}
        </section>
    );
}

/** Why there may be other endings, and at which steps. */
function NotTried({ all }: { all: Endings['notTried'] }) {
    const plan = usePlan();
    const { search } = useMoment();
    if (all.length === 0) return <p className="about">There are no others, and none comes sooner or later.</p>;
    return (
        <div className="about">
            There may be others, or sooner and later ones:
            <ul>
                {all.map(({ why, words, journey, step, line }) => (
                    <li key={`${why} ${journey} ${step}`}>
                        {journey && (
                            <>
                                <Link to={{ pathname: `/journeys/${journey}`, search, hash: step ?? '' }}>
                                    {plan?.get('journey', journey)?.name ?? journey}
                                    {line && `, “${line}”`}
                                </Link>
                                {': '}
                            </>
                        )}
                        {words}
                    </li>
                ))}
            </ul>
        </div>
    );
}

function Try({ one, at, name, onTry }: { one: One; at: number | null; name: string; onTry: () => void }) {
    return (
        <Button
            size="small"
            type="text"
            className="figures"
            aria-label={`Try it at its ${name}: ${one.words}`}
            onClick={onTry}
        >
            {at === null ? 'whenever' : clock(at)}
        </Button>
    );
}

import { useState } from 'react';
import { YearChart } from '../hours/YearChart';
import { useMoment } from '../moment/useMoment';
import { capital } from '../ui/capital';
import { ElementPicker } from '../ui/ElementPicker';
import { Field } from '../ui/Field';
import styles from './coverage.module.css';
import { hoursOf } from './reach';
import { useRung } from './useCoverage';

const STATES = [
    { key: 'rung', name: 'Rings', open: true },
    { key: 'not rung', name: 'Does not ring', open: false },
];

/** When somebody is rung over the year, and by which numbers. */
export function RungSection({ year }: { year: number }) {
    const { moment, change } = useMoment();
    const [who, setWho] = useState<string | null>(null);
    const { data, error } = useRung(who, year);
    const go = (at: string, to?: string) => data && change({ at, zone: data.zone, ...(to ? { to } : {}) });
    return (
        <section className="sheet" aria-label="When somebody is rung">
            <h2>When is somebody rung in {year}?</h2>
            <Field label="Person, team or queue">
                {(a11y) => (
                    <ElementPicker
                        id={a11y.id}
                        label="Person, team or queue"
                        kinds={['person', 'team', 'queue']}
                        value={who}
                        clearable
                        placeholder="choose who"
                        onChange={setWho}
                    />
                )}
            </Field>
            {error && <p className="alarm">{error.message}</p>}
            {who && data && (
                <>
                    <p>
                        {data.seconds === 0
                            ? 'Never, by any number: as far as nobody else answers, and callers press nothing.'
                            : `For ${hoursOf(data.seconds)} of the year, by these numbers:`}
                        {data.left > 0 && ` There was no time to look at ${data.left} more numbers.`}
                    </p>
                    <ol className={styles.lines}>
                        {data.lines.map((line) => (
                            <li key={line.number}>
                                <span className="figures">{hoursOf(line.seconds)}</span>
                                <div>
                                    <button type="button" onClick={() => go(line.first.slice(0, 19), line.number)}>
                                        {line.numbers.join(' · ')}
                                    </button>
                                    {line.during && <p>{capital(line.during)}</p>}
                                    <p className="about">{line.when}</p>
                                </div>
                            </li>
                        ))}
                    </ol>
                    <YearChart
                        year={{ ...data, holidays: [], seasons: [], specialDays: [] }}
                        states={STATES}
                        now={{ local: moment.at }}
                        onGo={(date, clock) => go(`${date}T${clock}`)}
                    />
                </>
            )}
        </section>
    );
}

import { useMoment } from '../moment/useMoment';
import { dateWords } from '../ui/when';

interface Dated {
    date: string;
    name: string;
    holiday: string;
    part: string | null;
}

/** The next 24 months of a calendar, from the moment of the bar; a click goes there. */
export function LookAhead({ dates }: { dates: Dated[] }) {
    const { moment, change } = useMoment();
    const years = Map.groupBy(dates, (one) => one.date.slice(0, 4));
    return (
        <aside className="ahead" aria-label="The next 24 months">
            <h2>The next 24 months</h2>
            {dates.length === 0 && <p className="quiet">Nothing.</p>}
            {[...years].map(([year, ofYear]) => (
                <div key={year}>
                    <h3>{year}</h3>
                    <ul className="plain">
                        {ofYear.map((one) => (
                            <li key={one.date + one.holiday}>
                                <button
                                    type="button"
                                    className="link-row"
                                    aria-current={moment.at.startsWith(one.date) ? 'date' : undefined}
                                    onClick={() => change({ at: `${one.date}T${moment.at.slice(11) || '12:00:00'}` })}
                                >
                                    <span className="figures">{dateWords(one.date, false)}</span>
                                    <span>
                                        {one.name}
                                        {one.part && <span className="quiet"> {one.part}</span>}
                                    </span>
                                </button>
                            </li>
                        ))}
                    </ul>
                </div>
            ))}
        </aside>
    );
}

import { Button, Dropdown } from 'antd';
import { useState } from 'react';
import type { Coverage } from '../api/types';
import { FirstSteps } from '../call/FirstSteps';
import { patternFill, StatePattern } from '../hours/StatePattern';
import { YearChart } from '../hours/YearChart';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { capital } from '../ui/capital';
import { LookingThrough } from '../ui/LookingThrough';
import { dateWords } from '../ui/when';
import { CoverageBoard } from './CoverageBoard';
import { CoverageWeek } from './CoverageWeek';
import styles from './coverage.module.css';
import { RungSection } from './RungSection';
import { hoursOf, REACHES, reachName } from './reach';
import { useCoverage } from './useCoverage';

/** Who or what takes the calls of the bar: a year in kinds, the week of the moment with names, and all numbers in figures. */
export function CoverageScreen() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const [ahead, setAhead] = useState(0);
    const year = (Number(moment.at.slice(0, 4)) || 2027) + ahead;
    const query = useCoverage(year);
    const { data } = query;
    const numbers = plan?.all('number');
    const number = numbers?.find((one) => one.number === moment.to);
    const go = (date: string, clock: string) => {
        if (data) change({ at: `${date}T${clock}`, zone: data.zone });
        setAhead(0);
    };
    if (!moment.to && numbers?.length === 0) return <FirstSteps />;
    return (
        <div className="one">
            <section className="sheet" aria-label="Who takes the calls">
                <h1>Who takes the calls to {number?.name ?? moment.to}</h1>
                <div className="line-row wrap">
                    <Button size="small" aria-label={`Year ${year - 1}`} onClick={() => setAhead(ahead - 1)}>
                        ‹
                    </Button>
                    <b className="figures">{year}</b>
                    <Button size="small" aria-label={`Year ${year + 1}`} onClick={() => setAhead(ahead + 1)}>
                        ›
                    </Button>
                    {data && <Legend coverage={data} />}
                    {number && <TakeAway path={`/api/plans/${moment.in}/numbers/${number.id}/coverage`} year={year} />}
                </div>
                {data && (
                    <>
                        <p>
                            In a usual week somebody may be reached for <b>{hoursOf(data.totals.usualWeek)}</b>; on{' '}
                            <b>{data.totals.daysWithout}</b> of {data.totals.days} days nobody can be reached at all.
                        </p>
                        <YearChart
                            year={{ ...data, holidays: [], seasons: [], specialDays: [] }}
                            states={REACHES}
                            now={{ local: moment.at }}
                            onGo={go}
                        />
                        <h2>The week from {dateWords(data.week[0]?.date ?? '')} on</h2>
                        <CoverageWeek coverage={data} onGo={go} />
                        <h2>What calls come to</h2>
                        <Lines coverage={data} onGo={(at) => go(at.slice(0, 10), at.slice(11, 19))} />
                    </>
                )}
                <LookingThrough what="the year" query={query} />
            </section>
            <RungSection year={year} />
            <CoverageBoard year={year} />
        </div>
    );
}

/** The year as files: every interval, a calendar of when somebody may be reached, a page. */
function TakeAway({ path, year }: { path: string; year: number }) {
    const files = [
        { key: 'csv', name: 'a table of every interval (CSV)' },
        { key: 'ics', name: 'a calendar of when somebody may be reached' },
        { key: 'pdf', name: 'a page (PDF)' },
        { key: 'html', name: 'a page to print' },
    ];
    return (
        <Dropdown
            trigger={['click']}
            menu={{
                items: files.map(({ key, name }) => ({
                    key,
                    label: (
                        <a
                            href={`${path}.${key}?year=${year}`}
                            {...(key === 'html' ? { target: '_blank', rel: 'noreferrer' } : { download: true })}
                        >
                            {name}
                        </a>
                    ),
                })),
            }}
        >
            <Button size="small">Take away …</Button>
        </Dropdown>
    );
}

function Legend({ coverage }: { coverage: Coverage }) {
    return (
        <span className="legend">
            {REACHES.filter((one) => coverage.totals.seconds[one.key]).map((one) => (
                <span key={one.key}>
                    <svg width="22" height="14" aria-hidden="true">
                        <StatePattern states={REACHES} />
                        <rect width="22" height="14" rx="2" fill={patternFill(one.key)} />
                    </svg>
                    {one.name} {hoursOf(coverage.totals.seconds[one.key] ?? 0)}
                </span>
            ))}
        </span>
    );
}

/** Every way in which calls fare in the year, and when. */
function Lines({ coverage, onGo }: { coverage: Coverage; onGo: (at: string) => void }) {
    return (
        <ol className={styles.lines}>
            {coverage.courses.map((one) => (
                <li key={one.words + one.hears.join()}>
                    <span className="figures">{hoursOf(one.seconds)}</span>
                    <div>
                        <button type="button" onClick={() => onGo(one.first)}>
                            {capital(one.words)}
                        </button>{' '}
                        <span className="quiet">
                            {reachName(one.reach)}
                            {one.hears.length > 0 && <> · hears “{one.hears.join('”, “')}”</>}
                        </span>
                        {one.during && <p>{capital(one.during)}</p>}
                        <p className="about">{one.when}</p>
                    </div>
                </li>
            ))}
        </ol>
    );
}

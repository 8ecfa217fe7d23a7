import { Button } from 'antd';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { CoverageTotals } from '../api/types';
import { patternFill } from '../hours/StatePattern';
import { toTrialCall } from '../moment/trialCall';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { JobProgress } from '../ui/JobProgress';
import { type Column, LongTable } from '../ui/LongTable';
import { isAtWork, useJob } from '../ui/useJob';
import styles from './coverage.module.css';
import { hoursOf, REACHES } from './reach';

/** A number that people dial; of a block, one of its own. */
type Line = CoverageTotals & { id: string; name: string; number: string };

/** All numbers over the year, in figures, those for which least is done first. Looked through in the background. */
export function CoverageBoard({ year }: { year: number }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { job, started, start, stop } = useJob<{ year: number; stamp: number | undefined }>('board');
    const look = () =>
        start({ year, stamp: plan?.stamp }, () =>
            ask(api.POST('/api/coverage-board', { body: { call: toTrialCall(moment), year } })),
        );
    const lines = job?.state === 'done' ? (job.result as { numbers: Line[] }).numbers : [];
    const isOld = started && (started.year !== year || started.stamp !== plan?.stamp);
    return (
        <section className="sheet" aria-label="All numbers over the year">
            <h2>All numbers over {started?.year ?? year}</h2>
            <div className="line-row wrap">
                <Button onClick={look} loading={isAtWork(job)}>
                    {started ? 'Look again' : 'Look through all numbers'}
                </Button>
                <JobProgress job={job} label="How many numbers were looked at" onStop={stop} />
                <span role="status" className="quiet">
                    {job?.state === 'cancelled' && 'Stopped.'}
                    {job?.state === 'failed' && 'It could not be done.'}
                    {job?.state === 'done' && isOld && 'The plan or the year is another one now: look again.'}
                </span>
            </div>
            {lines.length > 0 && <Table lines={lines} />}
        </section>
    );
}

function Table({ lines }: { lines: Line[] }) {
    const { search, change } = useMoment();
    const columns: Column<Line>[] = [
        {
            title: 'Number',
            width: 220,
            by: ({ name }) => name,
            cell: ({ id, name }) => <Link to={{ pathname: `/numbers/${id}`, search }}>{name}</Link>,
        },
        {
            title: 'Somebody in a usual week',
            width: 150,
            by: ({ usualWeek }) => usualWeek,
            cell: ({ usualWeek }) => <span className="figures">{hoursOf(usualWeek)}</span>,
        },
        {
            title: 'Days with nobody',
            width: 120,
            by: ({ daysWithout }) => daysWithout,
            cell: ({ daysWithout }) => <span className="figures">{daysWithout}</span>,
        },
        { title: 'Of the year', cell: (totals) => <Shares totals={totals} /> },
        {
            title: 'Above',
            width: 90,
            cell: ({ name, number }) => (
                <Button
                    size="small"
                    type="text"
                    aria-label={`Show ${name} above`}
                    onClick={() => change({ to: number })}
                >
                    Show
                </Button>
            ),
        },
    ];
    return (
        <LongTable
            label="Numbers and who takes their calls"
            rows={lines}
            columns={columns}
            rowKey={({ number }) => number}
            sortedBy="Somebody in a usual week"
            empty="There is no number."
        />
    );
}

function Shares({ totals }: { totals: CoverageTotals }) {
    const all = Object.values(totals.seconds).reduce((sum, one) => sum + one, 0) || 1;
    const shares = REACHES.filter((one) => totals.seconds[one.key]).map((one) => ({
        ...one,
        share: (totals.seconds[one.key] ?? 0) / all,
    }));
    const words = shares.map((one) => `${one.name} ${Math.round(100 * one.share)} %`).join(', ');
    return (
        <>
            <svg className={styles.shares} viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                {shares.map((one, i) => (
                    <rect
                        key={one.key}
                        x={100 * shares.slice(0, i).reduce((sum, before) => sum + before.share, 0)}
                        width={100 * one.share}
                        height="10"
                        fill={patternFill(one.key)}
                    />
                ))}
            </svg>
            <span className="quiet">{words}</span>
        </>
    );
}

import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Queue } from '../api/types';
import { clock } from '../call/clock';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import styles from './queues.module.css';
import { type Mark, waitMarks } from './wait';

const WIDTH = 700;
const TOP = 18;
/** From above; those in which nothing happens are left out. Words are beside each other only where they cannot meet. */
const LANES: { of: Mark['what'][]; tells: string }[] = [
    { of: ['introduction', 'announcement'], tells: 'what callers hear' },
    { of: ['offer'], tells: 'what they may do' },
    { of: ['tier'], tells: 'who is asked' },
    { of: ['promise', 'notice'], tells: 'what is promised' },
];
const LANE = 22;
/** Of these the words stand in the picture. */
const TOLD: Mark['what'][] = ['offer', 'tier', 'promise', 'notice'];

/** One caller's wait on a time scale: what they hear, which tiers join, what is promised, when it is over. */
export function WaitScale({ queue }: { queue: Queue }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const seconds = useQuery({
        queryKey: ['prompt-seconds', moment.in, plan?.stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/prompt-seconds', { params: { path: { which: moment.in } } })),
        placeholderData: (before) => before,
    }).data?.seconds;
    const saidFirst = [queue.recording.on ? queue.recording.notice : null, queue.waiting.introduction];
    const introduction = saidFirst
        .map((prompt) => Math.max(0, ...Object.values((prompt && seconds?.[prompt]) || {})))
        .reduce((sum, one) => sum + one, 0);
    const marks = waitMarks(queue, introduction);
    const end = Math.max(queue.waiting.longestSeconds, introduction);
    const x = (second: number) => (WIDTH * second) / end;
    const lanes = LANES.filter((lane) => marks.some((mark) => lane.of.includes(mark.what)));
    const top = (what: Mark['what']) => TOP + lanes.findIndex((lane) => lane.of.includes(what)) * LANE;
    const bottom = TOP + lanes.length * LANE;
    return (
        <figure className={styles.wait}>
            <svg viewBox={`-4 0 ${WIDTH + 8} ${bottom + 22}`} role="img" aria-label="One caller’s wait">
                <rect x={0} y={TOP} width={WIDTH} height={bottom - TOP} className={styles.ground} />
                {introduction > 0 && (
                    <rect x={0} y={TOP} width={x(introduction)} height={LANE} className={styles.introduction} />
                )}
                {marks.map((mark) => (
                    <g key={`${mark.what}${mark.second}`} className={styles[mark.what]}>
                        <title>
                            {clock(mark.second)} {mark.words}
                        </title>
                        <line
                            x1={x(mark.second)}
                            x2={x(mark.second)}
                            y1={mark.what === 'end' ? TOP : top(mark.what)}
                            y2={mark.what === 'end' ? bottom : top(mark.what) + LANE}
                        />
                    </g>
                ))}
                {marks
                    .filter((mark) => TOLD.includes(mark.what))
                    .map((mark) => (
                        <text
                            key={`${mark.what}${mark.second}`}
                            className={styles.told}
                            x={x(mark.second) + 4}
                            y={top(mark.what) + 15}
                        >
                            {mark.words}
                        </text>
                    ))}
                <text x={0} y={12}>
                    0:00
                </text>
                <text x={WIDTH} y={12} textAnchor="end">
                    {clock(end)} {marks.find((mark) => mark.what === 'end')?.words}
                </text>
                <text x={0} y={bottom + 16} className={styles.quiet}>
                    {marks.every((mark) => mark.what !== 'announcement') && 'Nothing is announced while they wait. '}
                    {lanes.length > 0 && `From above: ${lanes.map((lane) => lane.tells).join(', ')}.`}
                </text>
            </svg>
            <ol className="hidden">
                {marks.map((mark) => (
                    <li key={`${mark.what}${mark.second}`}>
                        {clock(mark.second)} {mark.words}
                    </li>
                ))}
            </ol>
        </figure>
    );
}

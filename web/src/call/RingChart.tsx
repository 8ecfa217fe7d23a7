import type { Rung } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { clock } from './clock';

const WIDTH = 300;

/** A row per phone on a scale of seconds: a bar while it rings, and how that ended. */
export function RingChart({ rung, seconds }: { rung: Rung[]; seconds: number }) {
    const plan = usePlan();
    const { moment, change } = useMoment();
    const assume = (who: string) => {
        const others = moment.phones.filter((one) => one.who !== who);
        const wasAssumed = others.length < moment.phones.length;
        change({ phones: wasAssumed ? others : [...others, { who, does: 'answers', after: 8 }] });
    };
    if (rung.length === 0) return <p className="quiet">No phone is to ring on this way.</p>;
    const end = Math.max(seconds, ...rung.map((one) => one.until), 1);
    const ticks = [0, 0.25, 0.5, 0.75, 1].map((part) => Math.round(part * end));
    const x = (second: number) => (second / end) * WIDTH;

    return (
        <table className="rings">
            <thead>
                <tr>
                    <th scope="col">Phone</th>
                    <th scope="col">
                        <svg width={WIDTH + 20} height="14" aria-hidden="true">
                            {ticks.map((tick) => (
                                <text
                                    key={tick}
                                    x={x(tick)}
                                    y="11"
                                    textAnchor={tick === 0 ? 'start' : tick === end ? 'end' : 'middle'}
                                >
                                    {clock(tick)}
                                </text>
                            ))}
                        </svg>
                        <span className="hidden">When it rings</span>
                    </th>
                </tr>
            </thead>
            <tbody>
                {rung.map((one, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: a phone may ring more than once
                    <tr key={i} className={one.outcome.replaceAll(' ', '-')}>
                        <th scope="row">
                            <button
                                type="button"
                                className="link-row"
                                title="Take for granted that this phone answers after 8 s; click again to take it back"
                                onClick={() => assume(one.phone)}
                            >
                                <span>
                                    {plan?.find(one.person)?.name ?? one.label}
                                    <span className="quiet"> {one.person ? one.label : 'outside'}</span>
                                </span>
                            </button>
                        </th>
                        <td>
                            <svg width={WIDTH + 20} height="16" aria-hidden="true">
                                <line x1="0" x2={WIDTH} y1="15" y2="15" className="rule" />
                                {one.until > one.from && (
                                    <rect
                                        x={x(one.from)}
                                        width={Math.max(2, x(one.until) - x(one.from))}
                                        y="3"
                                        height="9"
                                        rx="1.5"
                                    />
                                )}
                                {one.ownMailbox !== null && one.until > one.from && (
                                    <path
                                        d={`M${x(Math.min(end, one.from + one.ownMailbox)) - 4} 4h8v7h-8zl4 4 4-4`}
                                        className={one.outcome.startsWith('own') ? 'mailbox picked' : 'mailbox'}
                                    />
                                )}
                                {one.askedAt !== null && (
                                    <text x={x(one.askedAt)} y="12" textAnchor="middle" className="asked">
                                        ?
                                    </text>
                                )}
                                {one.outcome === 'answered' && <circle cx={x(one.until)} cy="7.5" r="5" />}
                                {['busy', 'unreachable', 'refused'].includes(one.outcome) && (
                                    <path d={`M${x(one.until)} 3l8 8m0-8l-8 8`} className="cross" />
                                )}
                            </svg>
                            <span className="outcome">
                                {one.outcome}
                                {one.until > one.from ? `, ${clock(one.from)} to ${clock(one.until)}` : ''}
                                {one.askedAt !== null && `, asked at ${clock(one.askedAt)}`}
                            </span>
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

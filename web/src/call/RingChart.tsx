import type { Rung } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { clock } from './clock';

const WIDTH = 300;

/** A row per phone on a scale of seconds: a bar while it rings, and how that ended. */
export function RingChart({ rung, seconds }: { rung: Rung[]; seconds: number }) {
    const plan = usePlan();
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
                            {plan?.find(one.person)?.name ?? one.label}
                            <span className="quiet"> {one.person ? one.label : 'outside'}</span>
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
                                {one.outcome === 'answered' && <circle cx={x(one.until)} cy="7.5" r="5" />}
                                {(one.outcome === 'busy' || one.outcome === 'unreachable') && (
                                    <path d={`M${x(one.from)} 3l8 8m0-8l-8 8`} className="cross" />
                                )}
                            </svg>
                            <span className="outcome">
                                {one.outcome}
                                {one.until > one.from ? `, ${clock(one.from)} to ${clock(one.until)}` : ''}
                            </span>
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

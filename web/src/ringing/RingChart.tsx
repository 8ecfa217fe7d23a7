import type { ReactNode } from 'react';
import type { Rung } from '../api/types';
import { clock } from '../call/clock';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';

const ASSUMED_ANSWER = 8;

/**
 * A row per phone on a scale of seconds: a bar while it rings, and how that ended. A click on a phone takes for granted
 * that it answers.
 */
export function RingChart({
    rung,
    seconds,
    limit,
    greeting,
    onTrack,
    head,
}: {
    rung: Rung[];
    /** What the scale must hold at least. */
    seconds: number;
    /** Where the step's limit cuts. */
    limit?: number | undefined;
    /** Where a greeting begins while the phones ring on. */
    greeting?: number | undefined;
    /** What else lies on the track of a phone, such as ends to drag. */
    onTrack?: (phone: string) => ReactNode;
    /** What lies on the scale itself. */
    head?: ReactNode;
}) {
    const plan = usePlan();
    const { change } = useMoment();
    const assume = (who: string) =>
        change(({ phones }) => {
            const others = phones.filter((one) => one.who !== who);
            const wasAssumed = others.length < phones.length;
            return { phones: wasAssumed ? others : [...others, { who, does: 'answers', after: ASSUMED_ANSWER }] };
        });
    if (rung.length === 0) return <p className="quiet">No phone is to ring on this way.</p>;
    const end = scaleOf(rung, seconds);
    const place = (second: number) => `${(Math.min(second, end) / end) * 100}%`;
    const ticks = ticksOf(end);
    const byPhone = Map.groupBy(rung, (one) => one.phone);

    return (
        <table className="rings">
            <thead>
                <tr>
                    <th scope="col">Phone</th>
                    <th scope="col">
                        <span className="hidden">When it rings</span>
                        <div className="scale">
                            {ticks
                                .filter((tick) => !isNear(tick, limit, end))
                                .map((tick) => (
                                    <span key={tick} aria-hidden="true" style={{ left: place(tick) }}>
                                        {clock(tick)}
                                    </span>
                                ))}
                            {head}
                        </div>
                    </th>
                </tr>
            </thead>
            <tbody>
                {[...byPhone].map(([phone, bars]) => {
                    const one = bars[bars.length - 1] as Rung;
                    return (
                        <tr key={phone}>
                            <th scope="row">
                                <button
                                    type="button"
                                    className="link-row"
                                    title="Take for granted that this phone answers after 8 s; click again to take it back"
                                    onClick={() => assume(phone)}
                                >
                                    <span>
                                        {plan?.find(one.person)?.name ?? one.label}
                                        <span className="quiet"> {one.person ? one.label : 'outside'}</span>
                                    </span>
                                </button>
                            </th>
                            <td>
                                <div className="track">
                                    {ticks.slice(1).map((tick) => (
                                        <i key={tick} className="tick" style={{ left: place(tick) }} />
                                    ))}
                                    {limit !== undefined && <i className="limit" style={{ left: place(limit) }} />}
                                    {greeting !== undefined && (
                                        <i className="greets" style={{ left: place(greeting) }} />
                                    )}
                                    {bars.map((bar) => (
                                        <Bar key={bar.from} bar={bar} place={place} />
                                    ))}
                                    {onTrack?.(phone)}
                                </div>
                                <span className="outcome">
                                    <Outcome bars={bars} />
                                </span>
                            </td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
}

/** Seconds from the left end of the chart to its right end. */
export function scaleOf(rung: Rung[], seconds: number): number {
    return Math.max(10, seconds, ...rung.map((one) => one.until));
}

/** Where the limit stands there is no room for a figure. */
function isNear(tick: number, limit: number | undefined, end: number): boolean {
    return limit !== undefined && tick > 0 && Math.abs(tick - limit) < end * 0.05;
}

/** Round seconds, some four to seven of them. */
function ticksOf(end: number): number[] {
    const step = [5, 10, 15, 30, 60, 120, 300, 600, 1800].find((one) => end / one <= 6) ?? 3600;
    return Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step);
}

function Bar({ bar, place }: { bar: Rung; place: (second: number) => string }) {
    const rings = bar.rings ?? bar.until;
    const mailbox = bar.ownMailbox === null || bar.rings === null ? null : bar.rings + bar.ownMailbox;
    return (
        <>
            {rings > bar.from && (
                <i className="bar dialled" style={{ left: place(bar.from), right: `calc(100% - ${place(rings)})` }} />
            )}
            {bar.until > rings && (
                <i
                    className={`bar ${bar.outcome.replaceAll(' ', '-')}`}
                    style={{ left: place(rings), right: `calc(100% - ${place(bar.until)})` }}
                />
            )}
            {mailbox !== null && (
                <svg
                    className={bar.outcome.startsWith('own') ? 'point mailbox picked' : 'point mailbox'}
                    style={{ left: place(bar.outcome === 'own mailbox' ? bar.until : mailbox) }}
                    viewBox="0 0 10 9"
                    aria-hidden="true"
                >
                    <path d="M1 1h8v7h-8zl4 4 4-4" />
                </svg>
            )}
            {bar.askedAt !== null && (
                <b className="point asked" style={{ left: place(bar.askedAt) }} aria-hidden="true">
                    ?
                </b>
            )}
            {bar.outcome === 'answered' && <i className="point answered" style={{ left: place(bar.until) }} />}
            {['busy', 'do not disturb', 'unreachable', 'refused', 'no line may carry it', 'all lines in use'].includes(
                bar.outcome,
            ) && (
                <svg className="point cross" style={{ left: place(bar.until) }} viewBox="0 0 8 8" aria-hidden="true">
                    <path d="M1 1l6 6m0-6l-6 6" />
                </svg>
            )}
        </>
    );
}

function whenRung(bar: Rung): string {
    if (bar.rings === null) return `dialled at ${clock(bar.from)}, silent until ${clock(bar.until)}`;
    const rang = `${clock(bar.rings)} to ${clock(bar.until)}`;
    return bar.rings > bar.from ? `dialled at ${clock(bar.from)}, ${rang}` : rang;
}

function Outcome({ bars }: { bars: Rung[] }) {
    const plan = usePlan();
    const last = bars[bars.length - 1] as Rung;
    const rang = bars.filter((one) => one.until > one.from);
    const words = [last.outcome as string];
    if (rang.length > 2) words.push(`rang ${rang.length} times, from ${clock(rang[0]?.from ?? 0)} on`);
    else words.push(...rang.map(whenRung));
    if (
        last.ownMailbox !== null &&
        rang.length === 1 &&
        typeof last.rings === 'number' &&
        !last.outcome.startsWith('own')
    )
        words.push(`its own mailbox would answer at ${clock(last.rings + last.ownMailbox)}`);
    if (last.askedAt !== null) words.push(`asked at ${clock(last.askedAt)}`);
    if (last.line) words.push(`by ${plan?.find(last.line)?.name ?? 'a line'} as ${last.dials}`);
    if (last.shows) words.push(`shows ${plan?.find(last.shows)?.name ?? 'a number of ours'}`);
    return words.join(', ');
}

import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import type { State, Year } from '../api/types';
import { dateWords } from '../ui/when';
import { DAY_SECONDS, toTime } from './bands';
import { patternFill, StatePattern } from './StatePattern';

const LEFT = 34;
const DAY = 2.2;
const TOP = 46;
const HEIGHT = 250;
const STEP = 900;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

interface Cell {
    day: number;
    at: number;
}

/** A year as a picture: a column per date, a row per time of day. Clicking a cell goes there. */
export function YearChart({
    year,
    states,
    now,
    onGo,
}: {
    year: Year;
    states: State[];
    /** The moment that is marked, on the wall clock of the picture. */
    now: { local: string } | undefined;
    onGo: (date: string, clock: string) => void;
}) {
    const svg = useRef<SVGSVGElement>(null);
    const [cursor, setCursor] = useState<Cell>();
    const width = year.days.length * DAY;
    const y = (second: number) => TOP + (second / DAY_SECONDS) * HEIGHT;
    const dateOf = (day: number) => new Date(Date.UTC(year.year, 0, 1 + day)).toISOString().slice(0, 10);
    const paths = useMemo(() => drawn(year), [year]);
    const needle = now && Number(now.local.slice(0, 4)) === year.year ? cellOf(now.local, year) : undefined;

    const cellAt = (event: { clientX: number; clientY: number }): Cell | undefined => {
        const box = svg.current?.getBoundingClientRect();
        if (!box) return undefined;
        const scale = (LEFT + width + 4) / box.width;
        const day = Math.floor(((event.clientX - box.left) * scale - LEFT) / DAY);
        const at = (((event.clientY - box.top) * scale - TOP) / HEIGHT) * DAY_SECONDS;
        return day < 0 || day >= year.days.length || at < 0 || at >= DAY_SECONDS
            ? undefined
            : { day, at: Math.floor(at / STEP) * STEP };
    };
    const go = (cell: Cell | undefined) => cell && onGo(dateOf(cell.day), `${toTime(cell.at)}:00`.slice(0, 8));
    const onKey = (event: KeyboardEvent) => {
        const from = cursor ?? needle ?? { day: 0, at: 12 * 3600 };
        const next = { day: from.day, at: Math.floor(from.at / STEP) * STEP };
        const days = event.ctrlKey ? 7 : 1;
        if (event.key === 'ArrowRight') next.day = Math.min(year.days.length - 1, from.day + days);
        else if (event.key === 'ArrowLeft') next.day = Math.max(0, from.day - days);
        else if (event.key === 'ArrowDown') next.at = Math.min(DAY_SECONDS - STEP, next.at + STEP);
        else if (event.key === 'ArrowUp') next.at = Math.max(0, next.at - STEP);
        else if (event.key === 'Enter') go(from);
        else return;
        event.preventDefault();
        setCursor(next);
    };
    const read = cursor ?? needle;
    const state = read && year.days[read.day]?.find((one) => one.from <= read.at && read.at < one.to);
    const marks = read ? marksOn(year, dateOf(read.day)) : [];

    return (
        <div
            className="year-chart"
            role="application"
            aria-label={`The year ${year.year}. Arrow keys move, with Control by weeks, Enter goes to that moment.`}
            // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is worked by keyboard
            tabIndex={0}
            onKeyDown={onKey}
        >
            <svg
                ref={svg}
                viewBox={`0 0 ${LEFT + width + 4} ${TOP + HEIGHT + 8}`}
                aria-hidden="true"
                onPointerMove={(event) => setCursor(cellAt(event))}
                onPointerLeave={() => setCursor(undefined)}
                onClick={(event) => go(cellAt(event))}
            >
                <StatePattern states={states} />
                <Seasons year={year} />
                <Months year={year} />
                {[0, 6, 12, 18, 24].map((hour) => (
                    <text key={hour} x={LEFT - 5} y={y(hour * 3600) + 4} textAnchor="end" className="tick">
                        {hour}
                    </text>
                ))}
                {states.map((one) => (
                    <path
                        key={one.key}
                        d={paths.get(one.key) ?? ''}
                        fill={patternFill(one.key)}
                        className={one.open ? 'cells open' : 'cells'}
                    />
                ))}
                {[6, 12, 18].map((hour) => (
                    <line
                        key={hour}
                        x1={LEFT}
                        x2={LEFT + width}
                        y1={y(hour * 3600)}
                        y2={y(hour * 3600)}
                        className="rule"
                    />
                ))}
                <DayMarks year={year} />
                {needle && <Cross cell={needle} y={y} className="needle" />}
                {cursor && <Cross cell={cursor} y={y} className="cursor" />}
            </svg>
            <p className="about" aria-live="polite">
                {read
                    ? [
                          `${dateWords(dateOf(read.day))} ${toTime(Math.floor(read.at / 60) * 60)}`,
                          states.find((one) => one.key === state?.state)?.name ?? '',
                          state ? `${toTime(state.from)}–${toTime(state.to)}` : '',
                          ...marks,
                      ]
                          .filter(Boolean)
                          .join(' · ')
                    : 'Point at the picture, or move over it with the arrow keys.'}
            </p>
        </div>
    );
}

function Seasons({ year }: { year: Year }) {
    return (
        <>
            {year.seasons.map((one) => (
                <g
                    key={one.from}
                    transform={`translate(${LEFT + dayIn(year, one.from) * DAY} 16)`}
                    className="season-mark"
                >
                    <rect width={(dayIn(year, one.to) - dayIn(year, one.from) + 1) * DAY} height="13" rx="3" />
                    <text x="5" y="10">
                        {one.name}
                    </text>
                </g>
            ))}
        </>
    );
}

function Months({ year }: { year: Year }) {
    return (
        <>
            {MONTHS.map((month, i) => {
                const at = LEFT + dayIn(year, `${year.year}-${String(i + 1).padStart(2, '0')}-01`) * DAY;
                return (
                    <g key={month}>
                        <text x={at + 3} y="11" className="tick">
                            {month}
                        </text>
                        <line x1={at} x2={at} y1={TOP - 4} y2={TOP + HEIGHT} className="rule" />
                    </g>
                );
            })}
        </>
    );
}

/** Holidays that are kept, special days, and days on which the clocks change. */
function DayMarks({ year }: { year: Year }) {
    return (
        <>
            {year.holidays
                .filter((one) => one.kept)
                .map((one) => (
                    <circle
                        key={one.date + one.name}
                        cx={LEFT + (dayIn(year, one.date) + 0.5) * DAY}
                        cy={TOP - 9}
                        r="2.6"
                        className="holiday-mark"
                    />
                ))}
            {year.specialDays.map((one) => (
                <path
                    key={one.date}
                    d={`M${LEFT + (dayIn(year, one.date) + 0.5) * DAY} ${TOP - 4}l-4 -8h8z`}
                    className="special-mark"
                />
            ))}
            {year.clockChanges.map((one) => {
                const at = LEFT + (dayIn(year, one.date) + 0.5) * DAY;
                return <line key={one.date} x1={at} x2={at} y1={TOP} y2={TOP + HEIGHT} className="clock-mark" />;
            })}
        </>
    );
}

function Cross({ cell, y, className }: { cell: Cell; y: (second: number) => number; className: string }) {
    const at = LEFT + (cell.day + 0.5) * DAY;
    return (
        <g className={className}>
            <line x1={at} x2={at} y1={TOP} y2={TOP + HEIGHT} />
            <circle cx={at} cy={y(cell.at)} r="4" />
        </g>
    );
}

function dayIn(year: Year, date: string): number {
    return Math.round((Date.parse(date) - Date.UTC(year.year, 0, 1)) / 86_400_000);
}

function cellOf(local: string, year: Year): Cell {
    const [hours = 0, minutes = 0, seconds = 0] = local.slice(11).split(':').map(Number);
    return { day: dayIn(year, local.slice(0, 10)), at: hours * 3600 + minutes * 60 + seconds };
}

/** One path per state: thousands of rectangles would be slow. */
function drawn(year: Year): Map<string, string> {
    const parts = new Map<string, string[]>();
    year.days.forEach((stretches, day) => {
        for (const one of stretches) {
            const top = TOP + (one.from / DAY_SECONDS) * HEIGHT;
            const height = ((one.to - one.from) / DAY_SECONDS) * HEIGHT;
            const part = `M${(LEFT + day * DAY).toFixed(1)} ${top.toFixed(2)}h${DAY}v${height.toFixed(2)}h-${DAY}z`;
            const ofState = parts.get(one.state) ?? [];
            ofState.push(part);
            parts.set(one.state, ofState);
        }
    });
    return new Map([...parts].map(([state, all]) => [state, all.join('')]));
}

function marksOn(year: Year, date: string): string[] {
    return [
        ...year.holidays
            .filter((one) => one.date === date)
            .map((one) => (one.kept ? one.name : `${one.name} (not kept)`)),
        ...year.specialDays.filter((one) => one.date === date).map((one) => one.name),
        ...year.seasons.filter((one) => one.from <= date && date <= one.to).map((one) => one.name),
        ...year.clockChanges.filter((one) => one.date === date).map((one) => one.text),
    ];
}

import { type KeyboardEvent, useRef, useState } from 'react';
import type { Hours, HoursState } from '../api/types';
import { DAY_NAMES, DAY_SECONDS, DAYS, paint, type Stretch, stretchesByDay, toTime } from './bands';
import { StatePattern, stateFill } from './StatePattern';

const STEP = 900;
const ROW = 34;
const LABEL = 46;
const WIDTH = 800;
const TOP = 18;

interface Cell {
    day: number;
    at: number;
}

const x = (second: number) => LABEL + (second / DAY_SECONDS) * WIDTH;

/** A week, a row per day: painted with the mouse, or with the arrow keys and Enter. The needle is the moment. */
export function WeekStrip({
    hours,
    brush,
    disabled,
    now,
    onPaint,
}: {
    hours: Hours;
    brush: string | null;
    disabled: boolean;
    now: HoursState | undefined;
    onPaint: (week: Hours['week']) => void;
}) {
    const svg = useRef<SVGSVGElement>(null);
    const [anchor, setAnchor] = useState<Cell>();
    const [cursor, setCursor] = useState<Cell>({ day: 0, at: 9 * 3600 });
    const [focused, setFocused] = useState(false);
    const days = stretchesByDay(hours.week);
    const selection = range(anchor ?? cursor, cursor);

    const cellAt = (event: { clientX: number; clientY: number }): Cell => {
        const box = svg.current?.getBoundingClientRect();
        if (!box) return cursor;
        const scale = (LABEL + WIDTH + 8) / box.width;
        const across = ((event.clientX - box.left) * scale - LABEL) / WIDTH;
        const down = ((event.clientY - box.top) * scale - TOP) / ROW;
        return {
            day: clamp(Math.floor(down), 0, 6),
            at: clamp(Math.floor((across * DAY_SECONDS) / STEP) * STEP, 0, DAY_SECONDS - STEP),
        };
    };
    const apply = (state: string | null) => {
        onPaint(paint(hours.week, selection.days, selection.from, selection.to, state));
        setAnchor(undefined);
    };
    const onKey = (event: KeyboardEvent) => {
        const by = event.ctrlKey ? 4 * STEP : STEP;
        const next = { ...cursor };
        if (event.key === 'ArrowRight') next.at = clamp(cursor.at + by, 0, DAY_SECONDS - STEP);
        else if (event.key === 'ArrowLeft') next.at = clamp(cursor.at - by, 0, DAY_SECONDS - STEP);
        else if (event.key === 'ArrowDown') next.day = clamp(cursor.day + 1, 0, 6);
        else if (event.key === 'ArrowUp') next.day = clamp(cursor.day - 1, 0, 6);
        else if (event.key === 'Enter' && !disabled) apply(brush);
        else if (event.key === 'Delete' && !disabled) apply(null);
        else if (event.key === 'Escape') setAnchor(undefined);
        else return;
        event.preventDefault();
        if (event.key.startsWith('Arrow')) {
            setAnchor(event.shiftKey ? (anchor ?? cursor) : undefined);
            setCursor(next);
        }
    };
    const nowDay = now ? (new Date(`${now.local}Z`).getUTCDay() + 6) % 7 : -1;
    const nowSecond = now ? secondsOf(now.local) : 0;

    return (
        <div
            className="week-strip"
            role="application"
            aria-label="Week. Arrow keys move, Shift with arrows selects, Enter paints, Delete wipes."
            // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is worked by keyboard
            tabIndex={0}
            onKeyDown={onKey}
            onFocus={() => setFocused(true)}
            onBlur={() => setFocused(false)}
        >
            <svg
                ref={svg}
                viewBox={`0 0 ${LABEL + WIDTH + 8} ${TOP + 7 * ROW + 4}`}
                aria-hidden="true"
                onPointerDown={(event) => {
                    if (disabled) return;
                    event.currentTarget.setPointerCapture(event.pointerId);
                    const cell = cellAt(event);
                    setAnchor(cell);
                    setCursor(cell);
                }}
                onPointerMove={(event) => event.buttons === 1 && anchor && setCursor(cellAt(event))}
                onPointerUp={() => !disabled && anchor && apply(brush)}
            >
                <StatePattern states={hours.states} />
                {[0, 3, 6, 9, 12, 15, 18, 21, 24].map((hour) => (
                    <g key={hour}>
                        <text x={x(hour * 3600)} y="11" textAnchor="middle" className="tick">
                            {hour}
                        </text>
                        <line x1={x(hour * 3600)} x2={x(hour * 3600)} y1={TOP} y2={TOP + 7 * ROW} className="rule" />
                    </g>
                ))}
                {DAYS.map((day, i) => (
                    <DayRow
                        key={day}
                        hours={hours}
                        day={i}
                        stretches={shown(days, i)}
                        now={i === nowDay ? nowSecond : undefined}
                    />
                ))}
                {(anchor || focused) &&
                    selection.days.map((day) => (
                        <rect
                            key={day}
                            x={x(selection.from)}
                            y={TOP + day * ROW + 1}
                            width={x(selection.to) - x(selection.from)}
                            height={ROW - 2}
                            className="selection"
                        />
                    ))}
            </svg>
            <p className="about" aria-live="polite">
                {anchor || focused
                    ? `${selection.days.map((day) => DAY_NAMES[DAYS[day] ?? 'mo'].slice(0, 3)).join(', ')} ${toTime(selection.from)}–${toTime(selection.to)}`
                    : disabled
                      ? ''
                      : 'Drag over the week to paint; or focus it, select with Shift and the arrows, and press Enter.'}
            </p>
        </div>
    );
}

/** A day's bands with their names, and the needle on the day of the moment. */
function DayRow({
    hours,
    day,
    stretches,
    now,
}: {
    hours: Hours;
    day: number;
    stretches: Stretch[];
    now: number | undefined;
}) {
    return (
        <g transform={`translate(0 ${TOP + day * ROW})`}>
            <text x="0" y={ROW / 2 + 5} className="day">
                {DAY_NAMES[DAYS[day] ?? 'mo'].slice(0, 3)}
            </text>
            <rect
                x={LABEL}
                y="2"
                width={WIDTH}
                height={ROW - 4}
                className="ground"
                fill={stateFill(hours, hours.default)}
            />
            {stretches.map((one) => (
                <g key={`${one.from}-${one.state}`}>
                    <rect
                        x={x(one.from)}
                        y="2"
                        width={x(one.to) - x(one.from)}
                        height={ROW - 4}
                        fill={stateFill(hours, one.state)}
                        className="band"
                    />
                    {one.to - one.from >= 5400 && (
                        <text x={x(one.from) + 6} y={ROW / 2 + 4} className="band-name">
                            {hours.states.find((state) => state.key === one.state)?.name}{' '}
                            {one.to - one.from >= 10800 ? `${toTime(one.from)}–${toTime(one.to)}` : ''}
                        </text>
                    )}
                </g>
            ))}
            {now !== undefined && <path d={`M${x(now)} 0v${ROW}m-4 -${ROW}h8l-4 5z`} className="needle" />}
        </g>
    );
}

/** A day's stretches as they lie on it, with what runs in from the night before. */
function shown(days: Stretch[][], day: number): Stretch[] {
    const before = (days[(day + 6) % 7] ?? [])
        .filter((one) => one.to > DAY_SECONDS)
        .map((one) => ({ ...one, from: 0, to: one.to - DAY_SECONDS }));
    return [...before, ...(days[day] ?? []).map((one) => ({ ...one, to: Math.min(one.to, DAY_SECONDS) }))];
}

function range(a: Cell, b: Cell) {
    const [first, last] = [Math.min(a.day, b.day), Math.max(a.day, b.day)];
    return {
        days: Array.from({ length: last - first + 1 }, (_, i) => first + i),
        from: Math.min(a.at, b.at),
        to: Math.max(a.at, b.at) + STEP,
    };
}

function clamp(value: number, least: number, most: number): number {
    return Math.max(least, Math.min(most, value));
}

function secondsOf(local: string): number {
    const [hours = 0, minutes = 0, seconds = 0] = local.slice(11).split(':').map(Number);
    return hours * 3600 + minutes * 60 + seconds;
}

import { useRef } from 'react';
import type { Coverage } from '../api/types';
import { DAY_SECONDS, toTime } from '../hours/bands';
import { patternFill, StatePattern } from '../hours/StatePattern';
import { dateWords } from '../ui/when';
import { REACHES } from './reach';

const ROW = 30;
const LABEL = 92;
const WIDTH = 860;
const TOP = 16;
const RIGHT = 10;
/** Letters of a name that fit into so many units of width, about. */
const LETTER = 6.4;

const x = (second: number) => LABEL + (second / DAY_SECONDS) * WIDTH;

/** A week, a row per day, with the names of who takes the calls. Clicking goes there; the year above does it by keyboard. */
export function CoverageWeek({ coverage, onGo }: { coverage: Coverage; onGo: (date: string, clock: string) => void }) {
    const svg = useRef<SVGSVGElement>(null);
    const height = TOP + coverage.week.length * ROW;
    const go = (event: { clientX: number; clientY: number }) => {
        const box = svg.current?.getBoundingClientRect();
        if (!box) return;
        const scale = (LABEL + WIDTH + RIGHT) / box.width;
        const day = coverage.week[Math.floor(((event.clientY - box.top) * scale - TOP) / ROW)];
        const at = Math.round(((((event.clientX - box.left) * scale - LABEL) / WIDTH) * DAY_SECONDS) / 60) * 60;
        if (day && at >= 0 && at < DAY_SECONDS) onGo(day.date, `${toTime(at)}:00`.slice(0, 8));
    };
    return (
        // biome-ignore lint/a11y/useKeyWithClickEvents: the year above goes to any moment by keyboard, the list below to each way
        <svg
            ref={svg}
            className="coverage-week"
            viewBox={`0 0 ${LABEL + WIDTH + RIGHT} ${height}`}
            role="img"
            aria-label="Who takes the calls in this week, day by day; the same stands in the list below."
            onClick={go}
        >
            <StatePattern states={REACHES} />
            {[0, 6, 12, 18, 24].map((hour) => (
                <text key={hour} x={x(hour * 3600)} y={TOP - 5} textAnchor="middle" className="tick">
                    {hour}
                </text>
            ))}
            {coverage.week.map((day, row) => (
                <g key={day.date}>
                    <text x={LABEL - 8} y={TOP + row * ROW + 19} textAnchor="end" className="tick">
                        {dateWords(day.date, false)}
                    </text>
                    {day.stretches.map(({ from, to, course }) => {
                        const line = coverage.courses[course];
                        const wide = x(to) - x(from);
                        const words = line?.words ?? '';
                        const room = Math.floor(wide / LETTER) - 1;
                        return (
                            <g key={from}>
                                <title>{`${toTime(from)}–${toTime(to)} ${words}`}</title>
                                <rect
                                    x={x(from)}
                                    y={TOP + row * ROW + 2}
                                    width={Math.max(0.5, wide - 1)}
                                    height={ROW - 4}
                                    fill={patternFill(line?.reach ?? '')}
                                    className="stretch"
                                />
                                {room > 6 && (
                                    <text x={x(from) + 5} y={TOP + row * ROW + 19} className="name">
                                        {words.length > room ? `${words.slice(0, room - 1)}…` : words}
                                    </text>
                                )}
                            </g>
                        );
                    })}
                </g>
            ))}
        </svg>
    );
}

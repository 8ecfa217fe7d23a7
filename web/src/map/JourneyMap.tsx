import type { JourneyMapData, MapBox } from '../api/types';
import { wrapped } from './svg';

const INK = 'var(--ink, #16323a)';
const QUIET = 'var(--quiet, #55686d)';
const LINE = 'var(--line, #b9b6a8)';
const SHEET = 'var(--sheet, #ffffff)';
const COURSE = 'var(--course, #c06a00)';
const FONT = "'Commissioner Variable', system-ui, sans-serif";
const OF_A_BOX = 29;
const OF_A_LABEL = 20;

/** Boxes for steps, lines with labels for exits, and the way of a call as one thick line. */
export function JourneyMap({ map, name }: { map: JourneyMapData; name: string }) {
    return (
        <svg
            role="img"
            aria-label={`Map of ${name}: ${map.boxes.map((box) => box.text).join('; ')}`}
            viewBox={`0 0 ${map.width} ${map.height}`}
            width={map.width}
            height={map.height}
            fontFamily={FONT}
        >
            {map.lines.map((line) => (
                <polyline key={line.join()} points={line.join(' ')} fill="none" stroke={LINE} strokeWidth="1.5" />
            ))}
            {map.course.length > 0 && (
                <polyline
                    points={map.course.join(' ')}
                    fill="none"
                    stroke={COURSE}
                    strokeWidth="4"
                    strokeLinejoin="round"
                    strokeLinecap="round"
                />
            )}
            {map.boxes.map((box) => (
                <g key={box.key}>
                    <title>{box.text}</title>
                    <rect
                        x={box.x}
                        y={box.y}
                        width={box.width}
                        height={box.height}
                        rx="6"
                        fill={SHEET}
                        stroke={isOn(box, map.course) ? COURSE : QUIET}
                        strokeWidth={isOn(box, map.course) ? 2.5 : 1}
                    />
                    <Words box={box} />
                </g>
            ))}
            {map.labels.map((label) => (
                <text key={label.key} x={label.x} y={label.y + label.height - 3} fontSize="11" fill={QUIET}>
                    <title>{label.text}</title>
                    {wrapped(label.text, OF_A_LABEL, 1)[0]}
                </text>
            ))}
            <End course={map.course} />
        </svg>
    );
}

function Words({ box }: { box: MapBox }) {
    const lines = wrapped(box.text, OF_A_BOX, 2);
    const first = box.y + box.height / 2 + 4 - (lines.length - 1) * 7;
    return (
        <text fontSize="12" fill={INK}>
            {lines.map((line, i) => (
                <tspan key={line} x={box.x + 10} y={first + i * 14}>
                    {line}
                </tspan>
            ))}
        </text>
    );
}

/** Where the way ends in this journey. */
function End({ course }: { course: number[][] }) {
    const [x, y] = course.at(-1) ?? [];
    return x === undefined || y === undefined ? null : (
        <circle cx={x - 16} cy={y} r="5" fill={SHEET} stroke={COURSE} strokeWidth="2.5" />
    );
}

/** Whether the way comes to a box: it has a corner in it. */
function isOn(box: MapBox, course: number[][]): boolean {
    return course.some(([x = 0, y = 0]) => x > box.x && x < box.x + box.width && y > box.y && y < box.y + box.height);
}

import { type RefObject, useEffect, useState } from 'react';

interface Drawn {
    path: string;
    points: Point[];
    width: number;
    height: number;
}

interface Point {
    x: number;
    y: number;
}

/** What moves along the line: from a mark to the next one, in so many seconds. */
interface Head {
    at: number;
    seconds: number;
}

/**
 * The way a call takes, as one line through the marks of the steps it passes, in order. Marks are found in the
 * container by `data-mark`; the line is drawn again whenever the layout changes.
 */
export function CourseLine({
    container,
    marks,
    head,
}: {
    container: RefObject<HTMLElement | null>;
    marks: string[];
    head?: Head | undefined;
}) {
    const [drawn, setDrawn] = useState<Drawn>();
    const wanted = marks.join('\n');

    // After every rendering, since any of them may move the marks; not in the layout phase, where the container is not known yet.
    useEffect(() => {
        const box = container.current;
        if (!box) return;
        const draw = () => {
            const origin = box.getBoundingClientRect();
            const points = wanted
                .split('\n')
                .filter(Boolean)
                .flatMap((mark) => {
                    const found = box.querySelector(`[data-mark="${CSS.escape(mark)}"]`);
                    if (!found) return [];
                    const at = found.getBoundingClientRect();
                    return [{ x: at.left + at.width / 2 - origin.left, y: at.top + at.height / 2 - origin.top }];
                });
            const next = {
                path: through(points),
                points,
                width: box.scrollWidth,
                height: box.scrollHeight,
            };
            setDrawn((before) => (before?.path === next.path && before.height === next.height ? before : next));
        };
        draw();
        const watch = new ResizeObserver(draw);
        watch.observe(box);
        for (const child of box.children) watch.observe(child);
        document.fonts?.ready.then(draw);
        return () => watch.disconnect();
    });

    if (!drawn?.path) return null;
    const end = drawn.points.at(-1);
    const from = head && drawn.points[head.at];
    return (
        <svg className="course" width={drawn.width} height={drawn.height} aria-hidden="true">
            <path d={drawn.path} />
            {end && <circle cx={end.x} cy={end.y} r="6" />}
            {from && (
                <circle
                    key={head?.at}
                    className="head"
                    r="5"
                    style={{
                        offsetPath: `path("M${from.x} ${from.y} ${stretch(from, drawn.points[(head?.at ?? 0) + 1] ?? from)}")`,
                        animationDuration: `${head?.seconds ?? 0}s`,
                    }}
                />
            )}
        </svg>
    );
}

const BEND = 26;

/** Straight down; bends late where the way goes deeper, and early where it comes back, so that it passes by what it leaves out. */
function through(points: Point[]): string {
    return points
        .map((point, i) => {
            const before = points[i - 1];
            return before ? stretch(before, point) : `M${point.x} ${Math.max(0, point.y - 16)} L${point.x} ${point.y}`;
        })
        .join(' ');
}

function stretch(before: Point, point: Point): string {
    if (before.x === point.x) return `L${point.x} ${point.y}`;
    const deeper = point.x > before.x;
    const room = Math.min(BEND, Math.abs(point.y - before.y)) * Math.sign(point.y - before.y || 1);
    const start = deeper ? point.y - room : before.y;
    const end = deeper ? point.y : before.y + room;
    const middle = (start + end) / 2;
    return `L${before.x} ${start} C${before.x} ${middle} ${point.x} ${middle} ${point.x} ${end} L${point.x} ${point.y}`;
}

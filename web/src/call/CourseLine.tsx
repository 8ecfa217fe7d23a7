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

    // Not in the layout phase, where the container is not known yet.
    useEffect(() => {
        const box = container.current;
        if (!box) return;
        let asked = 0;
        const draw = () => {
            asked = 0;
            const next = measured(box, wanted);
            setDrawn((before) => (before?.path === next.path && before.height === next.height ? before : next));
        };
        // Together with the layout that the next frame needs anyway.
        const ask = () => {
            asked ||= requestAnimationFrame(draw);
        };
        ask();
        const sizes = new ResizeObserver(ask);
        for (const one of [box, ...box.children]) sizes.observe(one);
        // Rows come, go and change places; what the line itself draws is nothing new.
        const rows = new MutationObserver(ask);
        rows.observe(box, {
            childList: true,
            characterData: true,
            subtree: true,
            attributeFilter: ['class', 'style', 'data-mark'],
        });
        document.fonts?.ready.then(ask);
        return () => {
            cancelAnimationFrame(asked);
            sizes.disconnect();
            rows.disconnect();
        };
    }, [container, wanted]);

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

function measured(box: HTMLElement, marks: string): Drawn {
    const origin = box.getBoundingClientRect();
    const points = marks
        .split('\n')
        .filter(Boolean)
        .flatMap((mark) => {
            const found = box.querySelector(`[data-mark="${CSS.escape(mark)}"]`);
            if (!found) return [];
            const at = found.getBoundingClientRect();
            return [{ x: at.left + at.width / 2 - origin.left, y: at.top + at.height / 2 - origin.top }];
        });
    return { path: through(points), points, width: box.scrollWidth, height: box.scrollHeight };
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

import { type KeyboardEvent, type PointerEvent, useRef } from 'react';

const KEYS: Record<string, number> = {
    ArrowLeft: -1,
    ArrowDown: -1,
    ArrowRight: 1,
    ArrowUp: 1,
    PageUp: 5,
    PageDown: -5,
};

/** Something on the second scale that is dragged, or moved by keys: a second at a time, five with Page up and down. */
export function DragHandle({
    label,
    at,
    min,
    max,
    scale,
    className,
    onMove,
    onPut,
}: {
    label: string;
    at: number;
    min: number;
    max: number;
    /** Seconds from the left end of the track to its right end. */
    scale: number;
    className: string;
    /** While it is dragged. */
    onMove: (second: number) => void;
    /** When it is let go. */
    onPut: (second: number) => void;
}) {
    const dragged = useRef<number | null>(null);
    const within = (second: number) => Math.min(max, Math.max(min, Math.round(second)));
    const secondOf = (event: PointerEvent<HTMLElement>) => {
        const track = event.currentTarget.parentElement?.getBoundingClientRect();
        return within(track && track.width > 0 ? ((event.clientX - track.left) / track.width) * scale : at);
    };
    const letGo = () => {
        if (dragged.current !== null) onPut(dragged.current);
        dragged.current = null;
    };
    const onKey = (event: KeyboardEvent) => {
        const by = KEYS[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onPut(within(at + by));
    };
    return (
        <span
            className={`drag ${className}`}
            role="slider"
            tabIndex={0}
            aria-label={label}
            aria-valuemin={min}
            aria-valuemax={max}
            aria-valuenow={at}
            aria-valuetext={`${at} s`}
            title={`${label}: ${at} s`}
            style={{ left: `${(at / scale) * 100}%` }}
            onKeyDown={onKey}
            onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                dragged.current = at;
            }}
            onPointerMove={(event) => {
                if (dragged.current === null) return;
                const second = secondOf(event);
                if (second !== dragged.current) onMove(second);
                dragged.current = second;
            }}
            onPointerUp={letGo}
            onPointerCancel={letGo}
        />
    );
}

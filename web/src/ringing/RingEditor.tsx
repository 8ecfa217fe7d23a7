import { useState } from 'react';
import { LIMITS } from '../api/limits';
import type { Element, RingStep } from '../api/types';
import { DragHandle } from './DragHandle';
import type { Handle } from './handles';
import { RingChart, scaleOf } from './RingChart';
import { useRingPreview } from './useRingPreview';

/** The ring chart of a person, a team or a step at the moment of the bar, whose ends are dragged to change them. */
export function RingEditor<T extends Element>({
    value,
    step,
    handlesOf,
    direct = false,
    disabled,
    onChange,
    onLimit,
}: {
    /** What the ends belong to; without it only the limit moves. */
    value?: T;
    step: RingStep;
    handlesOf?: (value: T, preview: Preview) => Handle<T>[];
    /** Whether it is a direct call, after which nothing follows. */
    direct?: boolean;
    disabled: boolean;
    onChange?: (value: T) => void;
    /** Where the limit is part of what is edited. */
    onLimit?: (seconds: number) => void;
}) {
    const [held, setHeld] = useState<{ value?: T; limit?: number; scale: number } | null>(null);
    const looked = held?.limit === undefined ? step : { ...step, seconds: held.limit };
    const { data: preview, error } = useRingPreview(looked, { element: held?.value, direct, dragged: held !== null });
    if (error) return <p className="notice alarm">{error.message}</p>;
    if (!preview) return <p className="quiet">Trying it …</p>;
    const shown = held?.value ?? value;
    const cut = looked.handOver ? undefined : looked.seconds;
    const handles = shown && handlesOf && !disabled ? handlesOf(shown, preview) : [];
    // The scale stands still while something is dragged: it would run away under the hand.
    const scale =
        held?.scale ?? Math.ceil(scaleOf(preview.rung, Math.max(cut ?? 0, ...handles.map((one) => one.at))) * 1.15);
    const put = (next: T) => {
        setHeld(null);
        // What came back to where it was is no change.
        if (JSON.stringify(next) !== JSON.stringify(value)) onChange?.(next);
    };
    return (
        <div className="ring-editor">
            <RingChart
                rung={preview.rung}
                seconds={scale}
                limit={cut}
                greeting={preview.events.find((one) => one.kind === 'said')?.second}
                onTrack={(phone) =>
                    handles
                        .filter((one) => one.phone === phone)
                        .map((one) => (
                            <DragHandle
                                key={one.label}
                                className={one.edge}
                                label={one.label}
                                at={one.at}
                                min={one.min}
                                max={one.max}
                                scale={scale}
                                onMove={(second) => setHeld({ value: one.put(second), scale })}
                                onPut={(second) => put(one.put(second))}
                            />
                        ))
                }
                head={
                    cut !== undefined &&
                    (onLimit && !disabled ? (
                        <DragHandle
                            className="cut"
                            label="The limit"
                            at={cut}
                            {...LIMITS.ring.seconds}
                            scale={scale}
                            onMove={(limit) => setHeld({ limit, scale })}
                            onPut={(second) => {
                                setHeld(null);
                                if (second !== step.seconds) onLimit(second);
                            }}
                        />
                    ) : (
                        <span className="cut" style={{ left: `${(cut / scale) * 100}%` }} title="The limit" />
                    ))
                }
            />
            <p className="quiet ring-words">{preview.sentence}</p>
        </div>
    );
}

export type Preview = NonNullable<ReturnType<typeof useRingPreview>['data']>;

import { useLayoutEffect, useRef, useState } from 'react';

/**
 * What can be done, as functions that are the same at every draw and do what the latest ones would: whatever only carries them on is not
 * drawn anew with them. For what somebody does, not for what is drawn.
 */
// biome-ignore lint/suspicious/noExplicitAny: whatever they are given
export function useSteady<T extends Record<string, (...given: any[]) => unknown>>(acts: T): T {
    const latest = useRef(acts);
    useLayoutEffect(() => {
        latest.current = acts;
    });
    const [steady] = useState(
        () =>
            Object.fromEntries(
                Object.keys(acts).map((name) => [name, (...given: unknown[]) => latest.current[name]?.(...given)]),
            ) as T,
    );
    return steady;
}

import { type ComponentType, lazy } from 'react';

const fetches: (() => Promise<unknown>)[] = [];

/** A screen whose code is fetched when it is first shown, or when there is nothing else to do. */
export function later(fetch: () => Promise<ComponentType>) {
    fetches.push(fetch);
    return lazy(() => fetch().then((screen) => ({ default: screen })));
}

/** Fetches what was left for later, one after the other, once the first answer is there: no click waits for code then. */
export async function fetchTheRest(): Promise<void> {
    for (const fetch of fetches) {
        await new Promise((idle) =>
            'requestIdleCallback' in window ? requestIdleCallback(idle) : setTimeout(idle, 50),
        );
        await fetch();
    }
}

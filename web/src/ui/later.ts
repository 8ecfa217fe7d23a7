import { type ComponentType, lazy } from 'react';

type Fetch<P> = () => Promise<ComponentType<P>>;

const LONGEST_PAUSE = 5_000;
const fetches: Fetch<object>[] = [];

/** A screen whose code is fetched when it is first shown, or when there is nothing else to do. */
export function later(fetch: Fetch<object>) {
    fetches.push(fetch);
    return whenShown(fetch);
}

/** A part whose code is fetched when it is first shown. */
export const whenShown = <P extends object>(fetch: Fetch<P>) =>
    lazy(async () => ({ default: await untilItIsThere(fetch) }));

/** The server may be away for a moment. */
async function untilItIsThere<P>(fetch: Fetch<P>): Promise<ComponentType<P>> {
    for (let pause = 500; ; pause = Math.min(2 * pause, LONGEST_PAUSE)) {
        try {
            return await fetch();
        } catch {
            await new Promise((over) => setTimeout(over, pause));
        }
    }
}

/** Whoever asks their browser to save data, as on the way by phone, gets no more than they look at. */
const savesData = () => 'connection' in navigator && (navigator.connection as { saveData?: boolean }).saveData === true;

/** Fetches what was left for later, one after the other, once the first answer is there: no click waits for code then. */
export async function fetchTheRest(): Promise<void> {
    if (savesData()) return;
    for (const fetch of fetches) {
        await new Promise((idle) =>
            'requestIdleCallback' in window ? requestIdleCallback(idle) : setTimeout(idle, 50),
        );
        // What cannot be fetched now is when it is shown.
        await fetch().catch(() => undefined);
    }
}

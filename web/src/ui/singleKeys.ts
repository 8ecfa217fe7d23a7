import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';

/** Single characters that act wherever nobody types: each can be another, or none (WCAG 2.1.4). */
export const SINGLE_KEYS = {
    before: { usual: '[', does: 'To the moment before at which the answer changes' },
    after: { usual: ']', does: 'To the next moment at which the answer changes' },
    find: { usual: '/', does: 'Find a screen, an element, or words' },
    why: { usual: 'w', does: 'Why the hours are as they are' },
} as const;

export type SingleKey = keyof typeof SINGLE_KEYS;
export type ChosenKeys = Record<SingleKey, string>;

const STORED = 'meandros.keys';
const listeners = new Set<() => void>();
let chosen: ChosenKeys | undefined;

/** What is stored, with the usual key where nothing fitting is. */
export function readKeys(stored: string | null): ChosenKeys {
    let given: Record<string, unknown> = {};
    try {
        given = (stored && JSON.parse(stored)) || {};
    } catch {
        // Somebody else's text under our name.
    }
    const names = Object.keys(SINGLE_KEYS) as SingleKey[];
    const key = (name: SingleKey) => {
        const text = given[name];
        if (typeof text === 'string' && [...text].length <= 1) return text;
        // A key that came later gives way to one that was chosen before.
        const { usual } = SINGLE_KEYS[name];
        return Object.values(given).includes(usual) ? '' : usual;
    };
    return Object.fromEntries(names.map((name) => [name, key(name)])) as ChosenKeys;
}

function current(): ChosenKeys {
    chosen ??= readKeys(localStorage.getItem(STORED));
    return chosen;
}

/** A key that another had goes over to the new one. */
export function withKey(keys: ChosenKeys, name: SingleKey, key: string): ChosenKeys {
    const others = Object.entries(keys).map(([other, its]) => [other, its === key ? '' : its]);
    return { ...Object.fromEntries(others), [name]: key };
}

export function chooseKeys(keys: ChosenKeys): void {
    chosen = keys;
    localStorage.setItem(STORED, JSON.stringify(keys));
    for (const listener of listeners) listener();
}

/** For the end of a tooltip. */
export const keyNote = (key: string): string => (key === '' ? '' : ` (key ${key})`);

export function useSingleKeys(): ChosenKeys {
    return useSyncExternalStore((listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    }, current);
}

/** Calls back when the key is pressed where nobody types. */
export function useSingleKey(name: SingleKey, act: () => void): void {
    const key = useSingleKeys()[name];
    const latest = useEffectEvent(act);
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const isTyping =
                event.target instanceof HTMLElement && event.target.closest('input, textarea, [contenteditable]');
            if (isTyping || event.ctrlKey || event.metaKey || event.altKey) return;
            if (key === '' || event.key !== key) return;
            // It is not typed into what opens, and browsers have a use for some.
            event.preventDefault();
            latest();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [key]);
}

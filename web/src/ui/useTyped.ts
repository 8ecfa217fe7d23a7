import { useEffect, useRef, useState } from 'react';

/**
 * What is typed into a field whose value is saved. What is saved elsewhere takes its place; what was sent from here comes back a moment
 * later, when something else may have been typed, and does not.
 */
export function useTyped<T>(saved: T, onSave: (value: T) => void) {
    const [typed, setTyped] = useState(saved);
    const sent = useRef<T[]>([]);
    useEffect(() => {
        const place = sent.current.indexOf(saved);
        if (place < 0) setTyped(saved);
        sent.current = place < 0 ? [] : sent.current.slice(place + 1);
    }, [saved]);
    /** Sends what is not saved yet; once more, too, as what was sent may have been refused. */
    const save = (value: T) => {
        if (value === saved && sent.current.length === 0) return;
        sent.current.push(value);
        onSave(value);
    };
    /** Back to what is saved, and to what was sent before once that is. */
    const back = () => {
        sent.current = [];
        setTyped(saved);
    };
    return { typed, setTyped, save, back };
}

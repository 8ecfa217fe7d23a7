import { useEffect, useState } from 'react';

/** A value once it has stood still for so long: what is asked for beside an edit waits until its answer is there. */
export function useCalm<T>(value: T, milliseconds: number): T {
    const [calm, setCalm] = useState(value);
    useEffect(() => {
        const timer = setTimeout(() => setCalm(value), milliseconds);
        return () => clearTimeout(timer);
    }, [value, milliseconds]);
    // What was not there before is wanted at once.
    return calm === undefined ? value : calm;
}

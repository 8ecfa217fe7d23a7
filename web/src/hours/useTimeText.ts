import { useEffect, useId, useRef, useState } from 'react';
import { toSeconds, understandTime } from './bands';

/**
 * A time as it is typed. One that is none stays, with the reason, until it is typed anew; Escape brings back what is saved.
 *
 * @param before seconds of the day that it must lie before; undefined where nights may run into the next day
 */
export function useTimeText(shown: string, onSave: (time: string) => void, before?: number) {
    const [text, setText] = useState(shown);
    const [isWrong, setWrong] = useState(false);
    const about = useId();
    const sent = useRef<string | null>(null);
    // biome-ignore lint/correctness/useExhaustiveDependencies: another value alone is the reason
    useEffect(() => {
        // What was sent from here comes back a moment later: meanwhile something else may have been typed.
        if (sent.current !== shown) reset();
        sent.current = null;
    }, [shown]);
    const reset = () => {
        setText(shown);
        setWrong(false);
    };
    const commit = () => {
        const time = understandTime(text);
        const isNone = time === null || (before !== undefined && (toSeconds(time) ?? before) >= before);
        setWrong(isNone);
        if (isNone) return;
        setText(time);
        if (time === shown) return;
        sent.current = time;
        onSave(time);
    };
    const type = (next: string) => {
        setText(next);
        setWrong(false);
    };
    return {
        text,
        type,
        /** Why it cannot be saved, and what to do; undefined while nothing is wrong. */
        problem: isWrong ? `“${text}” is no time of day: write 9, 930 or 17:30.` : undefined,
        about,
        field: {
            value: text,
            status: isWrong ? ('error' as const) : ('' as const),
            'aria-invalid': isWrong || undefined,
            'aria-describedby': isWrong ? about : undefined,
            onChange: (event: { target: { value: string } }) => type(event.target.value),
            onBlur: commit,
            onPressEnter: commit,
            onKeyDown: (event: { key: string; stopPropagation: () => void }) => {
                if (event.key !== 'Escape' || text === shown) return;
                event.stopPropagation();
                reset();
            },
        },
    };
}

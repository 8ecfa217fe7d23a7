import { useId, useState } from 'react';
import { useTyped } from '../ui/useTyped';
import { toSeconds, understandTime } from './bands';

/**
 * A time as it is typed. One that is none stays, with the reason, until it is typed anew; Escape brings back what is saved.
 *
 * @param before seconds of the day that it must lie before; undefined where nights may run into the next day
 */
export function useTimeText(shown: string, onSave: (time: string) => void, before?: number) {
    const { typed: text, setTyped: setText, save, back } = useTyped(shown, onSave);
    const [wrong, setWrong] = useState<string | null>(null);
    const isWrong = wrong === text;
    const about = useId();
    const commit = () => {
        const time = understandTime(text);
        if (time === null || (before !== undefined && (toSeconds(time) ?? before) >= before)) return setWrong(text);
        setText(time);
        save(time);
    };
    const type = (next: string) => {
        setText(next);
        setWrong(null);
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
                back();
                setWrong(null);
            },
        },
    };
}

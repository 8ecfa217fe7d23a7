import { Input } from 'antd';
import { useEffect, useState } from 'react';
import { DAY_SECONDS, toSeconds, toTime, understandTime } from '../hours/bands';

const QUARTER = 900;

/** The time of the trial call, to the second, on a clock of 24 hours; the up and down keys step by a quarter of an hour. */
export function ClockInput({ value, onSave }: { value: string; onSave: (time: string) => void }) {
    const short = value.endsWith(':00') ? value.slice(0, 5) : value;
    const [text, setText] = useState(short);
    useEffect(() => setText(short), [short]);
    const commit = () => {
        const time = understandTime(text);
        const seconds = time === null ? null : toSeconds(time);
        if (time === null || seconds === null || seconds >= DAY_SECONDS) setText(short);
        else if (time !== short) onSave(time);
    };
    const step = (by: number) => {
        const seconds = toSeconds(understandTime(text) ?? value) ?? 0;
        onSave(
            toTime(
                (((by > 0 ? Math.floor(seconds / QUARTER) : Math.ceil(seconds / QUARTER)) + by) * QUARTER +
                    DAY_SECONDS) %
                    DAY_SECONDS,
            ),
        );
    };
    return (
        <Input
            aria-label="Time"
            className="time figures"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onBlur={commit}
            onPressEnter={commit}
            onKeyDown={(event) => {
                if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
                event.preventDefault();
                step(event.key === 'ArrowUp' ? 1 : -1);
            }}
        />
    );
}

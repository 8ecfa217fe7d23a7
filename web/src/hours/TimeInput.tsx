import { Input } from 'antd';
import { useEffect, useState } from 'react';
import { DAY_SECONDS, toSeconds, toTime, understandTime } from './bands';

/** A time of day as typed: 9, 930, 9:30, 17:30:15; an hour above 24 lies on the next day. */
export function TimeInput({
    label,
    value,
    disabled,
    onSave,
}: {
    label: string;
    value: string;
    disabled: boolean;
    onSave: (time: string) => void;
}) {
    const [text, setText] = useState(value);
    useEffect(() => setText(value), [value]);
    const commit = () => {
        const time = understandTime(text);
        if (time === null) setText(value);
        else if (time !== value) onSave(time);
    };
    const seconds = toSeconds(value) ?? 0;
    return (
        <span className="time-input">
            <Input
                aria-label={label}
                size="small"
                style={{ width: 76 }}
                value={text}
                disabled={disabled}
                onChange={(event) => setText(event.target.value)}
                onBlur={commit}
                onPressEnter={commit}
            />
            {seconds > DAY_SECONDS && <span className="quiet">= {toTime(seconds - DAY_SECONDS)} next day</span>}
        </span>
    );
}

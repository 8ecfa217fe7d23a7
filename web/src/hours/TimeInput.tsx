import { Input } from 'antd';
import { DAY_SECONDS, toSeconds, toTime } from './bands';
import { useTimeText } from './useTimeText';

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
    const { field, problem, about } = useTimeText(value, onSave);
    const seconds = toSeconds(value) ?? 0;
    return (
        <span className="time-input">
            <Input aria-label={label} size="small" style={{ width: 76 }} disabled={disabled} {...field} />
            {problem ? (
                <span id={about} className="alarm" role="alert">
                    {problem}
                </span>
            ) : (
                seconds > DAY_SECONDS && <span className="quiet">= {toTime(seconds - DAY_SECONDS)} next day</span>
            )}
        </span>
    );
}

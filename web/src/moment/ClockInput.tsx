import { Input } from 'antd';
import { DAY_SECONDS, toSeconds, toTime, understandTime } from '../hours/bands';
import { useTimeText } from '../hours/useTimeText';

const QUARTER = 900;

/** The time of the trial call, to the second, on a clock of 24 hours; the up and down keys step by a quarter of an hour. */
export function ClockInput({ value, onSave }: { value: string; onSave: (time: string) => void }) {
    const short = value.endsWith(':00') ? value.slice(0, 5) : value;
    const { text, field, problem, about } = useTimeText(short, onSave, DAY_SECONDS);
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
        <span className="clock">
            <Input
                aria-label="Time"
                className="time figures"
                {...field}
                onKeyDown={(event) => {
                    field.onKeyDown(event);
                    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
                    event.preventDefault();
                    step(event.key === 'ArrowUp' ? 1 : -1);
                }}
            />
            {problem && (
                <span id={about} className="alarm" role="alert">
                    {problem}
                </span>
            )}
        </span>
    );
}

import { Input } from 'antd';
import { readRingTime, ringsIn } from './ringTime';
import { useCadence } from './useCadence';
import { useTyped } from './useTyped';

/** A time of ringing: typed as "18", "18 s" or "3 rings", shown as both. Arrow keys change it by a second. */
export function RingTimeInput({
    value,
    min,
    max,
    label,
    site,
    disabled = false,
    onSave,
}: {
    value: number;
    min: number;
    max: number;
    label: string;
    /** Whose cadence counts. */
    site?: string | undefined;
    disabled?: boolean;
    onSave: (seconds: number) => void;
}) {
    const cadence = useCadence(site);
    const { typed, setTyped, save } = useTyped(`${value} s`, (text) => {
        const seconds = readRingTime(text, cadence);
        if (seconds !== null) onSave(seconds);
    });
    const read = readRingTime(typed, cadence);
    const bad = read === null || read < min || read > max;
    const put = (seconds: number) => {
        setTyped(`${seconds} s`);
        save(`${seconds} s`);
    };
    const commit = () => !bad && put(read);
    return (
        <span className="with-unit">
            <Input
                aria-label={label}
                aria-invalid={bad || undefined}
                size="small"
                style={{ width: 64 }}
                status={bad ? 'error' : ''}
                value={typed}
                disabled={disabled}
                onChange={(event) => setTyped(event.target.value)}
                onFocus={(event) => event.target.select()}
                onBlur={commit}
                onPressEnter={commit}
                onKeyDown={(event) => {
                    const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
                    if (by === 0 || read === null) return;
                    event.preventDefault();
                    put(Math.min(max, Math.max(min, read + by)));
                }}
            />
            <span className={bad ? 'alarm' : 'quiet'} role={bad ? 'alert' : undefined}>
                {bad ? `${min} to ${max} s, or rings: such as 3 rings` : ringsIn(read, cadence)}
            </span>
        </span>
    );
}

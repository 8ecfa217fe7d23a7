import { Checkbox } from 'antd';
import type { NumberElement } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { DateInput } from '../ui/DateInput';

/** So long is a number kept free after it was given up, unless somebody says otherwise (common practice: half a year). */
const USUAL_MONTHS = 6;

/** A number that was given up is kept free for a while: callers still know it, and mean whoever had it. */
export function GivenUp({
    value,
    disabled,
    error,
    change,
}: {
    value: NumberElement;
    disabled: boolean;
    error: string | undefined;
    change: (next: NumberElement) => void;
}) {
    const { moment } = useMoment();
    const give = (isGivenUp: boolean) =>
        change({ ...value, keptUntil: isGivenUp ? monthsAfter(moment.at.slice(0, 10), USUAL_MONTHS) : null });
    return (
        <>
            <div className="line-row">
                <Checkbox
                    checked={value.keptUntil !== null}
                    disabled={disabled}
                    onChange={(event) => give(event.target.checked)}
                >
                    Given up, and kept free
                </Checkbox>
                {value.keptUntil !== null && (
                    <>
                        <span>until</span>
                        <DateInput
                            label="Kept free until"
                            value={value.keptUntil}
                            disabled={disabled}
                            onSave={(keptUntil) => change({ ...value, keptUntil })}
                        />
                    </>
                )}
                {error && (
                    <span className="alarm" role="alert">
                        {error}
                    </span>
                )}
            </div>
            {value.keptUntil !== null && (
                <p className="quiet">Nobody gets it before; callers who still know it mean somebody else.</p>
            )}
        </>
    );
}

function monthsAfter(date: string, months: number): string {
    const day = new Date(`${date}T12:00:00Z`);
    day.setUTCMonth(day.getUTCMonth() + months, 1);
    return day.toISOString().slice(0, 10);
}

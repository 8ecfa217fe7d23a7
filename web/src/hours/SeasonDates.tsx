import { Button, Checkbox } from 'antd';
import type { Season } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { DateInput } from '../ui/DateInput';
import { MonthDayInput } from '../ui/MonthDayInput';
import { TextField } from '../ui/TextField';

/** When a season is: its name, its first and last day, and whether it comes back every year. */
export function SeasonDates({
    season,
    disabled,
    error,
    onChange,
    onRemove,
}: {
    season: Season;
    disabled: boolean;
    error: string | undefined;
    onChange: (season: Season) => void;
    onRemove: () => void;
}) {
    const { moment } = useMoment();
    const yearly = season.from.length === 5;
    const year = Number(moment.at.slice(0, 4)) || 2027;
    const dated = () => {
        const over = season.from > season.to;
        return { from: `${year}-${season.from}`, to: `${over ? year + 1 : year}-${season.to}` };
    };
    return (
        <div className="season">
            <TextField
                label="Name of the season"
                value={season.name}
                disabled={disabled}
                onSave={(name) => onChange({ ...season, name })}
            />
            <div className="line-row wrap">
                <span>from</span>
                {yearly ? (
                    <MonthDayInput
                        value={season.from}
                        disabled={disabled}
                        onChange={(from) => onChange({ ...season, from })}
                    />
                ) : (
                    <DateInput
                        label="First day of the season"
                        value={season.from}
                        disabled={disabled}
                        onSave={(from) => onChange({ ...season, from })}
                    />
                )}
                <span>to</span>
                {yearly ? (
                    <MonthDayInput
                        value={season.to}
                        disabled={disabled}
                        onChange={(to) => onChange({ ...season, to })}
                    />
                ) : (
                    <DateInput
                        label="Last day of the season"
                        value={season.to}
                        disabled={disabled}
                        onSave={(to) => onChange({ ...season, to })}
                    />
                )}
                <Checkbox
                    checked={yearly}
                    disabled={disabled}
                    onChange={(event) =>
                        onChange({
                            ...season,
                            ...(event.target.checked
                                ? { from: season.from.slice(-5), to: season.to.slice(-5) }
                                : dated()),
                        })
                    }
                >
                    every year
                </Checkbox>
                {!disabled && (
                    <Button size="small" type="text" onClick={onRemove}>
                        Remove this season
                    </Button>
                )}
            </div>
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </div>
    );
}

import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import type { Day, Hours, HoursState, WeekBand } from '../api/types';
import { RemoveButton } from '../ui/RowButtons';
import { DAY_NAMES, DAYS } from './bands';
import { TimeInput } from './TimeInput';
import { WeekStrip } from './WeekStrip';
import { WeekText } from './WeekText';

/** A week, painted, typed, or edited in figures. */
export function WeekEditor({
    hours,
    now,
    disabled,
    error,
    onChange,
}: {
    /** With the week that is edited in the place of the base week. */
    hours: Hours;
    now: HoursState | undefined;
    disabled: boolean;
    /** Why a band was refused; null for any of them. */
    error: (band: number | null) => string | undefined;
    onChange: (week: WeekBand[]) => void;
}) {
    const [brush, setBrush] = useState<string | null>(hours.states[0]?.key ?? null);
    return (
        <>
            {!disabled && (
                <WeekText
                    states={hours.states}
                    week={hours.week}
                    fallback={brush ?? hours.default}
                    onChange={onChange}
                />
            )}
            {!disabled && <Brushes states={hours.states} brush={brush} onChoose={setBrush} />}
            <WeekStrip hours={hours} brush={brush} disabled={disabled} now={now} onPaint={onChange} />
            <details className="bands" open={Boolean(error(null))}>
                <summary>Bands in figures ({hours.week.length})</summary>
                {hours.week.map((band, i) => (
                    <BandRow
                        // biome-ignore lint/suspicious/noArrayIndexKey: bands have no identity but their place
                        key={i}
                        band={band}
                        hours={hours}
                        disabled={disabled}
                        error={error(i)}
                        onChange={(next) => onChange(hours.week.with(i, next))}
                        onRemove={() => onChange(hours.week.toSpliced(i, 1))}
                    />
                ))}
                {!disabled && (
                    <Button size="small" onClick={() => onChange([...hours.week, freeBand(hours)])}>
                        Add a band
                    </Button>
                )}
            </details>
        </>
    );
}

/** What is painted with: a state, or nothing to wipe with. */
function Brushes({
    states,
    brush,
    onChoose,
}: {
    states: Hours['states'];
    brush: string | null;
    onChoose: (brush: string | null) => void;
}) {
    return (
        <div className="brushes" role="radiogroup" aria-label="Paint with">
            {[...states, { key: null, name: 'Wipe' }].map((one) => (
                <Button
                    key={one.key}
                    size="small"
                    role="radio"
                    aria-checked={brush === one.key}
                    type={brush === one.key ? 'primary' : 'default'}
                    onClick={() => onChoose(one.key)}
                >
                    {one.name}
                </Button>
            ))}
        </div>
    );
}

/** A band that overlaps no other: the first free hour of the week, so that it can be saved and then changed. */
function freeBand(hours: Hours): WeekBand {
    const free = DAYS.find((day) => !hours.week.some((band) => band.days.includes(day)));
    return {
        days: [free ?? 'mo'],
        from: free ? '09:00' : '00:00',
        to: free ? '17:00' : '01:00',
        state: hours.states[0]?.key ?? hours.default,
    };
}

function BandRow({
    band,
    hours,
    disabled,
    error,
    onChange,
    onRemove,
}: {
    band: WeekBand;
    hours: Hours;
    disabled: boolean;
    error: string | undefined;
    onChange: (band: WeekBand) => void;
    onRemove: () => void;
}) {
    return (
        <div className="line-row wrap">
            <fieldset className="days" aria-label="Days">
                {DAYS.map((day: Day) => (
                    <Checkbox
                        key={day}
                        checked={band.days.includes(day)}
                        disabled={disabled}
                        aria-label={DAY_NAMES[day]}
                        onChange={(event) =>
                            onChange({
                                ...band,
                                days: DAYS.filter((one) =>
                                    one === day ? event.target.checked : band.days.includes(one),
                                ),
                            })
                        }
                    >
                        {DAY_NAMES[day].slice(0, 2)}
                    </Checkbox>
                ))}
            </fieldset>
            <TimeInput
                label="From"
                value={band.from}
                disabled={disabled}
                onSave={(from) => onChange({ ...band, from })}
            />
            –
            <TimeInput label="To" value={band.to} disabled={disabled} onSave={(to) => onChange({ ...band, to })} />
            <Select
                aria-label="State"
                size="small"
                style={{ width: 120 }}
                value={band.state}
                disabled={disabled}
                options={hours.states.map((one) => ({ value: one.key, label: one.name }))}
                onChange={(state) => onChange({ ...band, state })}
            />
            {!disabled && <RemoveButton label="Remove this band" onClick={onRemove} />}
            {error && (
                <span className="alarm" role="alert">
                    {error}
                </span>
            )}
        </div>
    );
}

import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import type { Band, Hours } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { AddByName } from '../ui/AddByName';
import { DateInput } from '../ui/DateInput';
import type { EditorProps } from '../ui/ElementScreen';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';
import { DAY_SECONDS, stretch, toTime } from './bands';
import { TimeInput } from './TimeInput';
import { DayText } from './WeekText';

/** Single dates on which the hours follow other bands. */
export function SpecialDays({ value, change, error, disabled }: EditorProps<Hours>) {
    const days = value.specialDays;
    const set = (i: number, part: Partial<Hours['specialDays'][number]>) =>
        change({ ...value, specialDays: days.map((one, j) => (i === j ? { ...one, ...part } : one)) });

    return (
        <>
            {days.map((one, i) => (
                <div key={one.date} className="special-day">
                    <DateInput label="Date" value={one.date} disabled={disabled} onSave={(date) => set(i, { date })} />
                    <LineInput
                        label="Name of the special day"
                        width={190}
                        value={one.name}
                        disabled={disabled}
                        onSave={(name) => set(i, { name })}
                    />
                    <span className="special-bands">
                        <BandFields
                            bands={one.bands}
                            states={value.states}
                            disabled={disabled}
                            onChange={(bands) => set(i, { bands })}
                        />
                        {one.bands.length === 0 && (
                            <span className="quiet">
                                {value.states.find((state) => state.key === value.default)?.name} all day
                            </span>
                        )}
                        {!disabled && (
                            <>
                                <Button
                                    size="small"
                                    type="text"
                                    onClick={() =>
                                        set(i, {
                                            bands: [
                                                ...one.bands,
                                                nextBand(one.bands, value.states[0]?.key ?? value.default),
                                            ],
                                        })
                                    }
                                >
                                    + band
                                </Button>
                                <DayText
                                    label={`Type the bands of ${one.name}`}
                                    states={value.states}
                                    onSet={(bands) => set(i, { bands })}
                                />
                            </>
                        )}
                    </span>
                    {!disabled && (
                        <RemoveButton
                            label={`Remove the special day ${one.name}`}
                            onClick={() => change({ ...value, specialDays: days.toSpliced(i, 1) })}
                        />
                    )}
                    {error(`/specialDays/${i}`) && (
                        <span className="alarm" role="alert">
                            {error(`/specialDays/${i}`)}
                        </span>
                    )}
                </div>
            ))}
            {!disabled && (
                <NewSpecialDay
                    onAdd={(added) =>
                        change({
                            ...value,
                            specialDays: [...days, added].toSorted((a, b) => a.date.localeCompare(b.date)),
                        })
                    }
                />
            )}
        </>
    );
}

function BandFields({
    bands,
    states,
    disabled,
    onChange,
}: {
    bands: Band[];
    states: Hours['states'];
    disabled: boolean;
    onChange: (bands: Band[]) => void;
}) {
    return bands.map((band, j) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bands have no identity but their place
        <span key={j} className="line-row">
            <TimeInput
                label="From"
                value={band.from}
                disabled={disabled}
                onSave={(from) => onChange(bands.with(j, { ...band, from }))}
            />
            –
            <TimeInput
                label="To"
                value={band.to}
                disabled={disabled}
                onSave={(to) => onChange(bands.with(j, { ...band, to }))}
            />
            <Select
                aria-label="State"
                size="small"
                style={{ width: 110 }}
                value={band.state}
                disabled={disabled}
                options={states.map((state) => ({ value: state.key, label: state.name }))}
                onChange={(state) => onChange(bands.with(j, { ...band, state }))}
            />
            {!disabled && <RemoveButton label="Remove this band" onClick={() => onChange(bands.toSpliced(j, 1))} />}
        </span>
    ));
}

function NewSpecialDay({ onAdd }: { onAdd: (day: Hours['specialDays'][number]) => void }) {
    const { moment } = useMoment();
    const [date, setDate] = useState('');
    const day = date || moment.at.slice(0, 10);
    return (
        <div className="line-row">
            <Input
                aria-label="Date of a new special day"
                type="date"
                size="small"
                style={{ width: 140 }}
                value={day}
                onChange={(event) => setDate(event.target.value)}
            />
            <AddByName
                label="Name of a new special day"
                placeholder="What is special"
                width={190}
                button="Add special day"
                onAdd={(name) => {
                    onAdd({ date: day, name, bands: [] });
                    setDate('');
                }}
            />
        </div>
    );
}

/** A band after the last one, so that it overlaps none. */
function nextBand(bands: Band[], state: string): Band {
    const end = Math.max(8 * 3600, ...bands.flatMap((band) => stretch(band).map((one) => one.to)));
    const from = Math.min(end, DAY_SECONDS - 3600);
    return { from: toTime(from), to: toTime(Math.min(from + 4 * 3600, DAY_SECONDS)), state };
}

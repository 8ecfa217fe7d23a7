import { Button, Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Day, HolidayRule } from '../api/types';
import { DAY_NAMES, DAYS } from '../hours/bands';
import { DateInput } from '../ui/DateInput';
import { MonthDayInput, MonthSelect } from '../ui/MonthDayInput';
import { NumberInput } from '../ui/NumberInput';
import { RemoveButton } from '../ui/RowButtons';
import { EASTER_DAYS } from './holidayModel';

const NTH = [
    { value: 1, label: 'first' },
    { value: 2, label: 'second' },
    { value: 3, label: 'third' },
    { value: 4, label: 'fourth' },
    { value: 5, label: 'fifth' },
    { value: -1, label: 'last' },
    { value: -2, label: 'second to last' },
];
const WEEKDAYS = DAYS.map((day) => ({ value: day, label: DAY_NAMES[day] }));

interface Props<R extends HolidayRule['on'] = HolidayRule['on']> {
    rule: Extract<HolidayRule, { on: R }>;
    date: string;
    disabled: boolean;
    onChange: (rule: HolidayRule) => void;
}

/** The parts of a rule, in the order in which it is said. */
export function RuleSentence(props: Props) {
    const { rule } = props;
    switch (rule.on) {
        case 'yearly':
            return <Yearly {...props} rule={rule} />;
        case 'nth weekday':
            return <NthWeekday {...props} rule={rule} />;
        case 'easter':
            return <Easter {...props} rule={rule} />;
        case 'weekday near':
            return <WeekdayNear {...props} rule={rule} />;
        case 'dates':
            return <Dates {...props} rule={rule} />;
        case 'range':
            return <Span {...props} rule={rule} />;
    }
}

function Yearly({ rule, disabled, onChange }: Props<'yearly'>) {
    return (
        <MonthDayInput value={rule.date} disabled={disabled} onChange={(next) => onChange({ ...rule, date: next })} />
    );
}

function NthWeekday({ rule, disabled, onChange }: Props<'nth weekday'>) {
    return (
        <>
            <span>the</span>
            <Select
                size="small"
                disabled={disabled}
                aria-label="Which one"
                style={{ width: 120 }}
                value={rule.nth}
                options={NTH}
                onChange={(nth) => onChange({ ...rule, nth })}
            />
            <WeekdaySelect
                value={rule.weekday}
                disabled={disabled}
                onChange={(weekday) => onChange({ ...rule, weekday })}
            />
            <span>of</span>
            <MonthSelect value={rule.month} disabled={disabled} onChange={(month) => onChange({ ...rule, month })} />
        </>
    );
}

function Easter({ rule, disabled, onChange }: Props<'easter'>) {
    return (
        <>
            <Select
                size="small"
                disabled={disabled}
                aria-label="Feast"
                style={{ width: 230 }}
                value={EASTER_DAYS.some((one) => one.value === rule.days) ? rule.days : undefined}
                placeholder={`${rule.days} days from Easter`}
                options={EASTER_DAYS}
                onChange={(days) => onChange({ ...rule, days })}
            />
            <NumberInput
                label="Days from Easter"
                unit="days"
                {...LIMITS['holidayRule.easter'].days}
                value={rule.days}
                disabled={disabled}
                onSave={(days) => onChange({ ...rule, days })}
            />
            <Select
                size="small"
                disabled={disabled}
                aria-label="Church"
                style={{ width: 110 }}
                value={rule.church}
                options={[
                    { value: 'western', label: 'Western' },
                    { value: 'orthodox', label: 'Orthodox' },
                ]}
                onChange={(church) => onChange({ ...rule, church })}
            />
        </>
    );
}

function WeekdayNear({ rule, disabled, onChange }: Props<'weekday near'>) {
    return (
        <>
            <span>the</span>
            <WeekdaySelect
                value={rule.weekday}
                disabled={disabled}
                onChange={(weekday) => onChange({ ...rule, weekday })}
            />
            <Select
                size="small"
                disabled={disabled}
                aria-label="Side"
                style={{ width: 120 }}
                value={rule.side}
                options={['on or before', 'on or after'].map((value) => ({ value, label: value }))}
                onChange={(side) => onChange({ ...rule, side: side as typeof rule.side })}
            />
            <MonthDayInput
                value={rule.date}
                disabled={disabled}
                onChange={(next) => onChange({ ...rule, date: next })}
            />
        </>
    );
}

function Dates({ rule, date, disabled, onChange }: Props<'dates'>) {
    return (
        <>
            {rule.dates.map((one, i) => (
                <span key={one} className="line-row tight">
                    <DateInput
                        label="Date"
                        value={one}
                        disabled={disabled}
                        onSave={(next) => onChange({ ...rule, dates: [...rule.dates.with(i, next)].sort() })}
                    />
                    {!disabled && rule.dates.length > 1 && (
                        <RemoveButton
                            label={`Remove ${one}`}
                            onClick={() => onChange({ ...rule, dates: rule.dates.toSpliced(i, 1) })}
                        />
                    )}
                </span>
            ))}
            {!disabled && (
                <Button
                    size="small"
                    onClick={() => onChange({ ...rule, dates: [...rule.dates, nextYear(rule.dates.at(-1) ?? date)] })}
                >
                    Add a date
                </Button>
            )}
        </>
    );
}

function Span({ rule, date, disabled, onChange }: Props<'range'>) {
    const yearly = rule.from.length === 5;
    return (
        <>
            {yearly ? (
                <>
                    <MonthDayInput
                        value={rule.from}
                        disabled={disabled}
                        onChange={(from) => onChange({ ...rule, from })}
                    />
                    –
                    <MonthDayInput value={rule.to} disabled={disabled} onChange={(to) => onChange({ ...rule, to })} />
                </>
            ) : (
                <>
                    <DateInput
                        label="First date"
                        value={rule.from}
                        disabled={disabled}
                        onSave={(from) => onChange({ ...rule, from })}
                    />
                    –
                    <DateInput
                        label="Last date"
                        value={rule.to}
                        disabled={disabled}
                        onSave={(to) => onChange({ ...rule, to })}
                    />
                </>
            )}
            <Checkbox
                checked={yearly}
                disabled={disabled}
                onChange={(event) =>
                    onChange(
                        event.target.checked
                            ? { ...rule, from: rule.from.slice(-5), to: rule.to.slice(-5) }
                            : {
                                  ...rule,
                                  from: `${date.slice(0, 4)}-${rule.from}`,
                                  to: `${date.slice(0, 4)}-${rule.to}`,
                              },
                    )
                }
            >
                every year
            </Checkbox>
        </>
    );
}

function nextYear(date: string): string {
    return `${Number(date.slice(0, 4)) + 1}${date.slice(4) === '-02-29' ? '-02-28' : date.slice(4)}`;
}

function WeekdaySelect({ value, disabled, onChange }: { value: Day; disabled: boolean; onChange: (day: Day) => void }) {
    return (
        <Select
            aria-label="Weekday"
            size="small"
            style={{ width: 118 }}
            value={value}
            disabled={disabled}
            options={WEEKDAYS}
            onChange={onChange}
        />
    );
}

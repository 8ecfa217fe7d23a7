import { Button, Checkbox, Input, Select } from 'antd';
import type { Day, Holiday, HolidayRule } from '../api/types';
import { DAY_NAMES, DAYS } from '../hours/bands';
import { DateInput } from '../ui/DateInput';
import { NumberInput } from '../ui/NumberInput';
import { daysOf, EASTER_DAYS, MONTHS, RULE_NAMES, ruleOf, SUBSTITUTES, yearsOf } from './holidayModel';
import { TimeSpan } from './TimeSpan';

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

/** When a holiday is: its rule, its substitute day, the part of the day, the years. Reads like a sentence. */
export function RuleFields({
    holiday,
    date,
    disabled,
    onChange,
}: {
    holiday: Holiday;
    date: string;
    disabled: boolean;
    onChange: (holiday: Holiday) => void;
}) {
    const set = (part: Partial<Holiday>) => onChange({ ...holiday, ...part });
    const { substitute, years } = holiday;
    return (
        <div className="rule-fields">
            <div className="line-row wrap">
                <Select
                    aria-label="Kind of rule"
                    size="small"
                    style={{ width: 190 }}
                    value={holiday.rule.on}
                    disabled={disabled}
                    options={Object.entries(RULE_NAMES).map(([value, label]) => ({ value, label }))}
                    onChange={(on: HolidayRule['on']) => set({ rule: ruleOf(on, date) })}
                />
                <Rule rule={holiday.rule} disabled={disabled} onChange={(rule) => set({ rule })} date={date} />
            </div>
            <div className="line-row wrap">
                <Checkbox
                    checked={substitute !== null}
                    disabled={disabled}
                    onChange={(event) =>
                        set({
                            substitute: event.target.checked
                                ? { on: ['sa', 'su'], to: 'next working day', keep: true }
                                : null,
                        })
                    }
                >
                    has a substitute day
                </Checkbox>
                {substitute && (
                    <>
                        <span>when on</span>
                        <Select
                            aria-label="Weekdays that are substituted"
                            mode="multiple"
                            size="small"
                            style={{ minWidth: 170 }}
                            value={substitute.on}
                            disabled={disabled}
                            options={WEEKDAYS}
                            onChange={(on: Day[]) =>
                                on.length > 0 &&
                                set({ substitute: { ...substitute, on: DAYS.filter((day) => on.includes(day)) } })
                            }
                        />
                        <span>:</span>
                        <Select
                            aria-label="Substitute day"
                            size="small"
                            style={{ width: 180 }}
                            value={substitute.to}
                            disabled={disabled}
                            options={[...SUBSTITUTES]}
                            onChange={(to) => set({ substitute: { ...substitute, to } })}
                        />
                        <Checkbox
                            checked={substitute.keep}
                            disabled={disabled}
                            onChange={(event) => set({ substitute: { ...substitute, keep: event.target.checked } })}
                        >
                            and the day itself too
                        </Checkbox>
                    </>
                )}
            </div>
            <div className="line-row wrap">
                <Checkbox
                    checked={holiday.part !== null}
                    disabled={disabled}
                    onChange={(event) => set({ part: event.target.checked ? { from: '13:00', to: '24:00' } : null })}
                >
                    only part of the day
                </Checkbox>
                {holiday.part && (
                    <TimeSpan value={holiday.part} disabled={disabled} onChange={(part) => set({ part })} />
                )}
            </div>
            <div className="line-row wrap">
                <span>Years</span>
                <YearInput
                    label="First year"
                    value={years.from}
                    disabled={disabled}
                    onSave={(from) => set({ years: { ...years, from } })}
                />
                –
                <YearInput
                    label="Last year"
                    value={years.to}
                    disabled={disabled}
                    onSave={(to) => set({ years: { ...years, to } })}
                />
                <span>except</span>
                <Input
                    key={years.except.join()}
                    aria-label="Years without it"
                    size="small"
                    style={{ width: 130 }}
                    placeholder="none"
                    defaultValue={years.except.join(', ')}
                    disabled={disabled}
                    onBlur={(event) => {
                        const except = yearsOf(event.target.value);
                        if (except.join() !== years.except.join()) set({ years: { ...years, except } });
                    }}
                />
            </div>
        </div>
    );
}

function YearInput({
    label,
    value,
    disabled,
    onSave,
}: {
    label: string;
    value: number | null;
    disabled: boolean;
    onSave: (year: number | null) => void;
}) {
    return (
        <Input
            key={value}
            aria-label={label}
            size="small"
            style={{ width: 72 }}
            placeholder="any"
            defaultValue={value ?? ''}
            disabled={disabled}
            onBlur={(event) => {
                const year = yearsOf(event.target.value)[0] ?? null;
                if (year !== value) onSave(year);
            }}
        />
    );
}

function Rule({
    rule,
    date,
    disabled,
    onChange,
}: {
    rule: HolidayRule;
    date: string;
    disabled: boolean;
    onChange: (rule: HolidayRule) => void;
}) {
    const common = { size: 'small' as const, disabled };
    if (rule.on === 'yearly')
        return (
            <MonthDayInput
                value={rule.date}
                disabled={disabled}
                onChange={(next) => onChange({ ...rule, date: next })}
            />
        );
    if (rule.on === 'nth weekday')
        return (
            <>
                <span>the</span>
                <Select
                    {...common}
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
                <MonthSelect
                    value={rule.month}
                    disabled={disabled}
                    onChange={(month) => onChange({ ...rule, month })}
                />
            </>
        );
    if (rule.on === 'easter')
        return (
            <>
                <Select
                    {...common}
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
                    min={-100}
                    max={250}
                    value={rule.days}
                    disabled={disabled}
                    onSave={(days) => onChange({ ...rule, days })}
                />
                <Select
                    {...common}
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
    if (rule.on === 'weekday near')
        return (
            <>
                <span>the</span>
                <WeekdaySelect
                    value={rule.weekday}
                    disabled={disabled}
                    onChange={(weekday) => onChange({ ...rule, weekday })}
                />
                <Select
                    {...common}
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
    if (rule.on === 'dates')
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
                            <Button
                                size="small"
                                type="text"
                                aria-label={`Remove ${one}`}
                                onClick={() => onChange({ ...rule, dates: rule.dates.toSpliced(i, 1) })}
                            >
                                ✕
                            </Button>
                        )}
                    </span>
                ))}
                {!disabled && (
                    <Button
                        size="small"
                        onClick={() =>
                            onChange({ ...rule, dates: [...rule.dates, nextYear(rule.dates.at(-1) ?? date)] })
                        }
                    >
                        Add a date
                    </Button>
                )}
            </>
        );
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

function MonthSelect({
    value,
    disabled,
    onChange,
}: {
    value: number;
    disabled: boolean;
    onChange: (month: number) => void;
}) {
    return (
        <Select
            aria-label="Month"
            size="small"
            style={{ width: 118 }}
            value={value}
            disabled={disabled}
            options={MONTHS.map((label, i) => ({ value: i + 1, label }))}
            onChange={onChange}
        />
    );
}

/** A date of every year, as a day and a month: no impossible one can be chosen. */
export function MonthDayInput({
    value,
    disabled,
    onChange,
}: {
    value: string;
    disabled: boolean;
    onChange: (date: string) => void;
}) {
    const [month = 1, day = 1] = value.split('-').map(Number);
    const two = (number: number) => String(number).padStart(2, '0');
    return (
        <span className="line-row tight">
            <Select
                aria-label="Day of the month"
                size="small"
                style={{ width: 62 }}
                value={day}
                disabled={disabled}
                options={Array.from({ length: daysOf(month) }, (_, i) => ({ value: i + 1, label: String(i + 1) }))}
                onChange={(next) => onChange(`${two(month)}-${two(next)}`)}
            />
            <MonthSelect
                value={month}
                disabled={disabled}
                onChange={(next) => onChange(`${two(next)}-${two(Math.min(day, daysOf(next)))}`)}
            />
        </span>
    );
}

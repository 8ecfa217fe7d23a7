import { Select } from 'antd';

const MONTHS = [
    'January',
    'February',
    'March',
    'April',
    'May',
    'June',
    'July',
    'August',
    'September',
    'October',
    'November',
    'December',
];

/** Days that may stand in a month, in its longest year. */
function daysOf(month: number): number {
    return month === 2 ? 29 : [4, 6, 9, 11].includes(month) ? 30 : 31;
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

export function MonthSelect({
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

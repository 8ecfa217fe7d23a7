import { Checkbox, Select } from 'antd';
import type { Day, Holiday, HolidayRule } from '../api/types';
import { DAY_NAMES, DAYS } from '../hours/bands';
import { LineInput } from '../ui/LineInput';
import { RULE_NAMES, ruleOf, SUBSTITUTES, yearsOf } from './holidayModel';
import { RuleSentence } from './RuleSentence';
import { TimeSpan } from './TimeSpan';

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
                <RuleSentence rule={holiday.rule} disabled={disabled} onChange={(rule) => set({ rule })} date={date} />
            </div>
            <SubstituteFields
                substitute={substitute}
                disabled={disabled}
                onChange={(next) => set({ substitute: next })}
            />
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
                <LineInput
                    label="Years without it"
                    width={130}
                    placeholder="none"
                    value={years.except.join(', ')}
                    disabled={disabled}
                    read={(typed) => yearsOf(typed).join(', ')}
                    onSave={(typed) => set({ years: { ...years, except: yearsOf(typed) } })}
                />
            </div>
        </div>
    );
}

/** The day that is free instead, where a holiday falls on a weekend. */
function SubstituteFields({
    substitute,
    disabled,
    onChange,
}: {
    substitute: Holiday['substitute'];
    disabled: boolean;
    onChange: (substitute: Holiday['substitute']) => void;
}) {
    return (
        <div className="line-row wrap">
            <Checkbox
                checked={substitute !== null}
                disabled={disabled}
                onChange={(event) =>
                    onChange(event.target.checked ? { on: ['sa', 'su'], to: 'next working day', keep: true } : null)
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
                            on.length > 0 && onChange({ ...substitute, on: DAYS.filter((day) => on.includes(day)) })
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
                        onChange={(to) => onChange({ ...substitute, to })}
                    />
                    <Checkbox
                        checked={substitute.keep}
                        disabled={disabled}
                        onChange={(event) => onChange({ ...substitute, keep: event.target.checked })}
                    >
                        and the day itself too
                    </Checkbox>
                </>
            )}
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
        <LineInput
            label={label}
            width={72}
            placeholder="any"
            value={String(value ?? '')}
            disabled={disabled}
            read={(typed) => String(yearsOf(typed)[0] ?? '')}
            onSave={(typed) => onSave(yearsOf(typed)[0] ?? null)}
        />
    );
}

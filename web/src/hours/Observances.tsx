import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Hours, HoursState } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import type { EditorProps } from '../ui/ElementScreen';
import { RemoveButton } from '../ui/RowButtons';

type Use = Hours['calendars'][number];

/** The holiday calendars that hours keep, the strongest first, and the state that each holiday brings. */
export function Observances({ value, change, error, disabled }: EditorProps<Hours> & { now: HoursState | undefined }) {
    const plan = usePlan();
    const { search } = useMoment();
    const [open, setOpen] = useState<string | null>(null);
    const uses = value.calendars;
    const set = (i: number, part: Partial<Use>) =>
        change({ ...value, calendars: uses.map((one, j) => (i === j ? { ...one, ...part } : one)) });
    const states = value.states.map((one) => ({ value: one.key, label: one.name }));
    const closed = value.states.find((one) => one.key === 'holiday') ?? value.states.find((one) => !one.open);

    return (
        <>
            <h2>Holidays</h2>
            {uses.length === 0 && (
                <p className="quiet">These hours keep no holidays: they follow the week on every one.</p>
            )}
            {uses.map((use, i) => {
                const calendar = plan?.get('calendar', use.calendar);
                return (
                    <div key={use.calendar} className="observance">
                        <div className="line-row wrap">
                            {uses.length > 1 && <span className="quiet figures">{i + 1}.</span>}
                            <Link to={{ pathname: `/holidays/${use.calendar}`, search }}>
                                {calendar?.name ?? use.calendar}
                            </Link>
                            <span>brings</span>
                            <Select
                                aria-label={`State on holidays of ${calendar?.name}`}
                                size="small"
                                style={{ width: 130 }}
                                value={use.state}
                                disabled={disabled}
                                options={states}
                                onChange={(state) => set(i, { state })}
                            />
                            <button
                                type="button"
                                className="chip"
                                aria-expanded={open === use.calendar}
                                onClick={() => setOpen(open === use.calendar ? null : use.calendar)}
                            >
                                {use.exceptions.length === 0
                                    ? 'no exceptions'
                                    : `${use.exceptions.length} exception${use.exceptions.length > 1 ? 's' : ''}`}
                            </button>
                            {!disabled && i > 0 && (
                                <Button
                                    size="small"
                                    type="text"
                                    aria-label={`Make ${calendar?.name} stronger`}
                                    onClick={() =>
                                        change({
                                            ...value,
                                            calendars: uses.toSpliced(i, 1).toSpliced(i - 1, 0, use),
                                        })
                                    }
                                >
                                    ↑
                                </Button>
                            )}
                            {!disabled && (
                                <RemoveButton
                                    label={`No longer keep ${calendar?.name}`}
                                    onClick={() => change({ ...value, calendars: uses.toSpliced(i, 1) })}
                                />
                            )}
                        </div>
                        {open === use.calendar && (
                            <ul className="exceptions">
                                {(calendar?.holidays ?? []).map((holiday) => (
                                    <li key={holiday.id}>
                                        <span>{holiday.name}</span>
                                        <Select
                                            aria-label={`State on ${holiday.name}`}
                                            size="small"
                                            style={{ width: 170 }}
                                            value={choiceOf(use, holiday.id)}
                                            disabled={disabled}
                                            options={[
                                                { value: USUAL, label: 'as all of them' },
                                                { value: NOT_KEPT, label: 'not kept here' },
                                                ...states,
                                            ]}
                                            onChange={(choice) =>
                                                set(i, { exceptions: excepted(use, holiday.id, choice) })
                                            }
                                        />
                                    </li>
                                ))}
                            </ul>
                        )}
                        {error(`/calendars/${i}`) && (
                            <p className="alarm" role="alert">
                                {error(`/calendars/${i}`)}
                            </p>
                        )}
                    </div>
                );
            })}
            {!disabled && (
                <ElementPicker
                    label="Keep another holiday calendar"
                    kinds={['calendar']}
                    value={null}
                    placeholder="Keep a holiday calendar"
                    exclude={uses.map((use) => use.calendar)}
                    onChange={(calendar) =>
                        calendar &&
                        change({
                            ...value,
                            calendars: [...uses, { calendar, state: closed?.key ?? value.default, exceptions: [] }],
                        })
                    }
                />
            )}
        </>
    );
}

const USUAL = '';
const NOT_KEPT = '-';

function choiceOf(use: Use, holiday: string): string {
    const found = use.exceptions.find((one) => one.holiday === holiday);
    return found ? (found.state ?? NOT_KEPT) : USUAL;
}

function excepted(use: Use, holiday: string, choice: string): Use['exceptions'] {
    const others = use.exceptions.filter((one) => one.holiday !== holiday);
    return choice === USUAL ? others : [...others, { holiday, state: choice === NOT_KEPT ? null : choice }];
}

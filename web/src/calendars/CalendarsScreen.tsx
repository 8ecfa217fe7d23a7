import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Select } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Calendar, Holiday } from '../api/types';
import { useGo, useMoment } from '../moment/useMoment';
import { useEdit } from '../plan/useEdit';
import { patchDraft, usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { AddByName } from '../ui/AddByName';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { RemoveButton } from '../ui/RowButtons';
import { BY_LABEL } from '../ui/searched';
import { TextField } from '../ui/TextField';
import { dateWords } from '../ui/when';
import { FileExchange } from './FileExchange';
import { newHoliday } from './holidayModel';
import { LookAhead } from './LookAhead';
import { RuleFields } from './RuleFields';

export function CalendarsScreen() {
    return (
        <ElementScreen
            kind="calendar"
            empty="There is no holiday calendar yet. Choose a ready-made one below, or name your own."
            note={({ holidays }) => (holidays.length === 1 ? '1 holiday' : `${holidays.length} holidays`)}
            searchable={(calendar) => calendar.holidays.map((one) => one.name).join(' ')}
            editor={(props) => <CalendarEditor {...props} />}
            adder={<CalendarAdder />}
        />
    );
}

/** A ready-made calendar, or an empty one of one's own. */
function CalendarAdder() {
    const plan = usePlan();
    const queries = useQueryClient();
    const { create } = useEdit();
    const told = useWrite();
    const { message } = App.useApp();
    const go = useGo();
    const ready = useQuery({
        queryKey: ['ready-made'],
        queryFn: () => ask(api.GET('/api/ready-made-calendars')),
        staleTime: Number.POSITIVE_INFINITY,
    });
    const open = (id: string | null) => {
        if (id) go(`/holidays/${id}`);
        return id !== null;
    };
    return (
        <div className="adder stack">
            <Select
                aria-label="Add a ready-made calendar"
                size="small"
                showSearch={BY_LABEL}
                placeholder="Add a ready-made one"
                value={null}
                popupMatchSelectWidth={300}
                options={(ready.data?.calendars ?? []).map((one) => ({
                    value: one.key,
                    label: one.name,
                    title: one.source,
                }))}
                onChange={async (readyMade: string | null) => {
                    if (!readyMade) return;
                    const body = { readyMade };
                    const saved = await told(() => ask(api.POST('/api/plans/draft/calendars', { body })));
                    if (!saved) return;
                    patchDraft(queries, saved);
                    message.success('Added, with its substitute days. Attach it to hours to use it.');
                    open(saved.id);
                }}
            />
            <div className="adder">
                <AddByName
                    label="Name of a new calendar"
                    placeholder="Or name your own"
                    button="Add"
                    onAdd={async (name) => plan !== undefined && open(await create('calendar', name, plan))}
                />
            </div>
        </div>
    );
}

/** The look-ahead of a calendar as it is saved. */
function useLookAhead(id: string, from: string) {
    const { moment } = useMoment();
    const plan = usePlan();
    return useQuery({
        queryKey: ['ahead', moment.in, id, from, plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/calendars/{id}/dates', {
                    params: { path: { which: moment.in, id }, query: { from } },
                }),
            ),
        enabled: Boolean(plan && from),
        placeholderData: (before) => before,
    }).data;
}

function CalendarEditor({ value, change, error, disabled }: EditorProps<Calendar>) {
    const { moment } = useMoment();
    const date = moment.at.slice(0, 10);
    const ahead = useLookAhead(value.id, date);
    const [open, setOpen] = useState<string | null>(null);
    const set = (i: number, holiday: Holiday) => change({ ...value, holidays: value.holidays.with(i, holiday) });
    const add = (name: string) => {
        const made = newHoliday(name, date, value.holidays);
        change({ ...value, holidays: [...value.holidays, made] });
        setOpen(made.id);
    };
    const passed = ahead?.passed ?? [];

    return (
        <div className="calendar">
            <div>
                <h2>Holidays</h2>
                {passed.length > 0 && (
                    <p className="notice" role="status">
                        {passed.length === 1 ? 'One entry has' : `${passed.length} entries have`} passed and will not
                        come again: {passed.map((id) => value.holidays.find((one) => one.id === id)?.name).join(', ')}.{' '}
                        {!disabled && (
                            <Button
                                size="small"
                                onClick={() =>
                                    change({
                                        ...value,
                                        holidays: value.holidays.filter((one) => !passed.includes(one.id)),
                                    })
                                }
                            >
                                Remove {passed.length === 1 ? 'it' : 'them'}
                            </Button>
                        )}
                    </p>
                )}
                <FindingsAt pointer="/holidays" />
                <ul className="holidays">
                    {value.holidays.map((holiday, i) => (
                        <li key={holiday.id}>
                            <div className="holiday-head">
                                <button
                                    type="button"
                                    className="holiday-name"
                                    aria-expanded={open === holiday.id}
                                    onClick={() => setOpen(open === holiday.id ? null : holiday.id)}
                                >
                                    <b>{holiday.name}</b> <span className="quiet">{ahead?.rules[holiday.id]}</span>
                                </button>
                                <span className="quiet figures">
                                    {nextDate(ahead?.dates.find((one) => one.holiday === holiday.id)?.date)}
                                </span>
                                {!disabled && (
                                    <RemoveButton
                                        label={`Remove ${holiday.name}`}
                                        onClick={() => change({ ...value, holidays: value.holidays.toSpliced(i, 1) })}
                                    />
                                )}
                            </div>
                            {open === holiday.id && (
                                <div className="holiday-body">
                                    <TextField
                                        label="Name of the holiday"
                                        value={holiday.name}
                                        disabled={disabled}
                                        onSave={(next) => set(i, { ...holiday, name: next })}
                                    />
                                    <RuleFields
                                        holiday={holiday}
                                        date={date}
                                        disabled={disabled}
                                        onChange={(next) => set(i, next)}
                                    />
                                </div>
                            )}
                            {error(`/holidays/${i}`) && (
                                <p className="alarm" role="alert">
                                    {error(`/holidays/${i}`)}
                                </p>
                            )}
                        </li>
                    ))}
                </ul>
                {value.holidays.length === 0 && (
                    <p className="quiet">No holiday yet: name one, or bring in a calendar file.</p>
                )}
                {!disabled && (
                    <div className="line-row">
                        <AddByName label="Name of a new holiday" width={220} button="Add holiday" onAdd={add} />
                    </div>
                )}
                <FileExchange value={value} change={change} disabled={disabled} />
            </div>
            <LookAhead dates={ahead?.dates ?? []} />
        </div>
    );
}

function nextDate(date: string | undefined): string {
    return date ? `next ${dateWords(date)}` : 'not in the next 24 months';
}

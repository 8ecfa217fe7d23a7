import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Hours, HoursState, Season } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { unique } from '../plan/unique';
import { usePlan } from '../plan/usePlan';
import { AddByName } from '../ui/AddByName';
import { SiteField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { IcsImport } from '../ui/IcsImport';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';
import { BY_LABEL } from '../ui/searched';
import { Codes } from './Codes';
import { Observances } from './Observances';
import { SeasonDates } from './SeasonDates';
import { SpecialDays } from './SpecialDays';
import { WeekEditor } from './WeekEditor';

const ZONES = Intl.supportedValuesOf('timeZone');

/** All that makes up hours, from the week to the codes. */
export function Timetable(props: EditorProps<Hours> & { now: HoursState | undefined }) {
    const { value, change, error, disabled, now } = props;
    const plan = usePlan();
    const site = plan?.get('site', value.site);
    return (
        <>
            <div className="fields">
                <SiteField
                    value={value.site}
                    error={error('/site')}
                    disabled={disabled}
                    onChange={(id) => change({ ...value, site: id })}
                />
                <Field
                    label="Keeps the time of"
                    hint={
                        now && site && value.zone && value.zone !== site.zone
                            ? `Not the time of its site: it is ${now.local.slice(11, 16)} here, ${clockIn(site.zone, now)} in ${site.zone}`
                            : undefined
                    }
                    error={error('/zone')}
                >
                    {(a11y) => (
                        <Select
                            {...a11y}
                            aria-label="Keeps the time of"
                            showSearch={BY_LABEL}
                            value={value.zone ?? ''}
                            disabled={disabled}
                            options={[
                                { value: '', label: `its site (${site?.zone ?? ''})` },
                                ...ZONES.map((zone) => ({ value: zone, label: zone })),
                            ]}
                            onChange={(zone) => change({ ...value, zone: zone || null })}
                        />
                    )}
                </Field>
                <Field label="Elsewhere the hours are" hint="Where no band covers the time" error={error('/default')}>
                    {(a11y) => (
                        <Select
                            {...a11y}
                            aria-label="Default state"
                            value={value.default}
                            disabled={disabled}
                            options={value.states.map((one) => ({ value: one.key, label: one.name }))}
                            onChange={(key) => change({ ...value, default: key })}
                        />
                    )}
                </Field>
            </div>
            <Weeks {...props} />
            <Observances value={value} change={change} error={error} disabled={disabled} now={now} />
            <h2>Special days</h2>
            <SpecialDays value={value} change={change} error={error} disabled={disabled} />
            <CalendarFile value={value} change={change} disabled={disabled} />
            <States value={value} change={change} error={error} disabled={disabled} />
            <Codes value={value} change={change} error={error} disabled={disabled} />
        </>
    );
}

/** The clock of another zone at the moment that these hours are read. */
function clockIn(zone: string, now: HoursState): string {
    return new Date(now.at).toLocaleTimeString('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' });
}

/** The base week and the weeks of the seasons, one at a time. */
function Weeks({ value, change, error, disabled, now }: EditorProps<Hours> & { now: HoursState | undefined }) {
    const { moment } = useMoment();
    const inForce = value.seasons.findIndex((one) => one.name === now?.because.season);
    const [chosen, setChosen] = useState<number | null>(null);
    const at = chosen ?? inForce;
    const season = value.seasons[at];
    const set = (next: Season) => change({ ...value, seasons: value.seasons.with(at, next) });
    const add = () => {
        const year = moment.at.slice(0, 4) || '2027';
        const made = { name: 'New season', from: `${year}-07-01`, to: `${year}-08-31`, week: value.week };
        change({ ...value, seasons: [...value.seasons, made] });
        setChosen(value.seasons.length);
    };
    return (
        <>
            <h2>Week</h2>
            <div className="brushes" role="group" aria-label="Which week">
                <button type="button" className="chip" aria-pressed={!season} onClick={() => setChosen(-1)}>
                    {value.seasons.length > 0 ? 'The rest of the year' : 'Every week'}
                </button>
                {value.seasons.map((one, i) => (
                    <button
                        // biome-ignore lint/suspicious/noArrayIndexKey: seasons have no identity but their place
                        key={i}
                        type="button"
                        className="chip"
                        aria-pressed={i === at}
                        onClick={() => setChosen(i)}
                    >
                        {one.name}
                    </button>
                ))}
                {!disabled && (
                    <Button size="small" type="text" onClick={add}>
                        + season
                    </Button>
                )}
            </div>
            {season && (
                <SeasonDates
                    season={season}
                    disabled={disabled}
                    error={error(`/seasons/${at}`)}
                    onChange={set}
                    onRemove={() => {
                        change({ ...value, seasons: value.seasons.toSpliced(at, 1) });
                        setChosen(-1);
                    }}
                />
            )}
            {!season && error('/seasons') && <p className="alarm">{error('/seasons')}</p>}
            <WeekEditor
                hours={season ? { ...value, week: season.week } : value}
                now={at === inForce ? now : undefined}
                disabled={disabled}
                error={(i) => error(`${season ? `/seasons/${at}` : ''}/week${i === null ? '' : `/${i}`}`)}
                onChange={(week) => (season ? set({ ...season, week }) : change({ ...value, week }))}
            />
        </>
    );
}

function CalendarFile({ value, change, disabled }: Omit<EditorProps<Hours>, 'error'>) {
    const { moment } = useMoment();
    const [state, setState] = useState(value.states.find((one) => !one.open)?.key ?? value.default);
    return (
        <div className="line-row wrap">
            <Button size="small" href={`/api/plans/${moment.in}/hours/${value.id}.ics`}>
                Take the next 12 months away as .ics
            </Button>
            {!disabled && (
                <>
                    <IcsImport
                        preview={(ics) =>
                            ask(
                                api.POST('/api/plans/draft/hours/{id}/import', {
                                    params: { path: { id: value.id } },
                                    body: { ics, state },
                                }),
                            )
                        }
                        onTake={(element) => element.kind === 'hours' && change(element)}
                        about="Each date of the file becomes a special day."
                    />
                    <span className="quiet">its events are</span>
                    <Select
                        aria-label="State of the file’s events"
                        size="small"
                        style={{ width: 120 }}
                        value={state}
                        options={value.states.map((one) => ({ value: one.key, label: one.name }))}
                        onChange={setState}
                    />
                </>
            )}
        </div>
    );
}

function States({ value, change, error, disabled }: EditorProps<Hours>) {
    const add = (name: string) =>
        change({ ...value, states: [...value.states, { key: freeKey(name, value), name, open: false }] });
    return (
        <>
            <h2>States</h2>
            {value.states.map((one, i) => (
                <div className="line-row" key={one.key}>
                    <LineInput
                        label={`Name of the state ${one.name}`}
                        width={160}
                        value={one.name}
                        disabled={disabled}
                        isWrong={Boolean(error(`/states/${i}`))}
                        onSave={(name) => change({ ...value, states: value.states.with(i, { ...one, name }) })}
                    />
                    <Checkbox
                        checked={one.open}
                        disabled={disabled}
                        onChange={(event) =>
                            change({ ...value, states: value.states.with(i, { ...one, open: event.target.checked }) })
                        }
                    >
                        counts as open
                    </Checkbox>
                    {!disabled && value.states.length > 1 && (
                        <RemoveButton
                            label={`Remove the state ${one.name}`}
                            onClick={() => change({ ...value, states: value.states.toSpliced(i, 1) })}
                        />
                    )}
                </div>
            ))}
            {error('/states') && <p className="alarm">{error('/states')}</p>}
            {!disabled && (
                <div className="line-row">
                    <AddByName
                        label="Name of a new state"
                        placeholder="A state of your own"
                        width={160}
                        button="Add state"
                        onAdd={add}
                    />
                </div>
            )}
        </>
    );
}

function freeKey(name: string, hours: Hours): string {
    const base =
        name
            .toLowerCase()
            .replaceAll(/[^a-z0-9]+/g, '_')
            .replaceAll(/^[^a-z]+|_+$/g, '') || 'state';
    const long = base.length < 2 ? `${base}_state` : base;
    const key = unique(
        long,
        hours.states.map((one) => one.key),
        '_',
    );
    return key;
}

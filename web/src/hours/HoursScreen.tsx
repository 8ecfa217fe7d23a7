import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import type { Day, Hours, HoursState, WeekBand } from '../api/types';
import { useHoursStates } from '../moment/useAnswer';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { DAY_NAMES, DAYS } from './bands';
import { SpecialDays } from './SpecialDays';
import { TimeInput } from './TimeInput';
import { WeekStrip } from './WeekStrip';

export function HoursScreen() {
    const states = useHoursStates();
    return (
        <ElementScreen
            kind="hours"
            empty="There are no hours yet. Name some below; they start open on weekdays from nine to five."
            note={(hours) => hours.states.find((state) => state.key === states?.[hours.id]?.state)?.name ?? ''}
            editor={(props) => <HoursEditor {...props} now={states?.[props.value.id]} />}
        />
    );
}

function HoursEditor({ value, change, error, disabled, now }: EditorProps<Hours> & { now: HoursState | undefined }) {
    const plan = usePlan();
    const [brush, setBrush] = useState<string | null>(value.states[0]?.key ?? null);
    const [stateName, setStateName] = useState('');
    const site = plan?.get('site', value.site);
    const state = value.states.find((one) => one.key === now?.state);

    const addState = () => {
        const name = stateName.trim();
        if (!name) return;
        const base =
            name
                .toLowerCase()
                .replaceAll(/[^a-z0-9]+/g, '_')
                .replaceAll(/^[^a-z]+|_+$/g, '') || 'state';
        let key = base.length < 2 ? `${base}_state` : base;
        for (let n = 2; value.states.some((one) => one.key === key); n++) key = `${base}_${n}`;
        change({ ...value, states: [...value.states, { key, name, open: false }] });
        setStateName('');
        setBrush(key);
    };

    return (
        <>
            {now && state && (
                <p className="now">
                    <span className={`state ${state.open ? 'open' : 'shut'}`}>{state.name}</span> at this moment (
                    {now.local.slice(11, 16)} in {now.zone}). <span className="quiet">{now.reason}</span>
                </p>
            )}
            <div className="fields">
                <Field label="Site" hint={site ? `Keeps ${site.zone} time` : undefined} error={error('/site')}>
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            status={a11y.status}
                            label="Site"
                            kinds={['site']}
                            value={value.site}
                            disabled={disabled}
                            onChange={(id) => id && change({ ...value, site: id })}
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
            <h2>Week</h2>
            <div className="brushes" role="radiogroup" aria-label="Paint with">
                {value.states.map((one) => (
                    <Button
                        key={one.key}
                        size="small"
                        role="radio"
                        aria-checked={brush === one.key}
                        type={brush === one.key ? 'primary' : 'default'}
                        onClick={() => setBrush(one.key)}
                    >
                        {one.name}
                    </Button>
                ))}
                <Button
                    size="small"
                    role="radio"
                    aria-checked={brush === null}
                    type={brush === null ? 'primary' : 'default'}
                    onClick={() => setBrush(null)}
                >
                    Wipe
                </Button>
            </div>
            <WeekStrip
                hours={value}
                brush={brush}
                disabled={disabled}
                now={now}
                onPaint={(week) => change({ ...value, week })}
            />
            <details className="bands" open={Boolean(error('/week'))}>
                <summary>Bands in figures ({value.week.length})</summary>
                {value.week.map((band, i) => (
                    <BandRow
                        // biome-ignore lint/suspicious/noArrayIndexKey: bands have no identity but their place
                        key={i}
                        band={band}
                        hours={value}
                        disabled={disabled}
                        error={error(`/week/${i}`)}
                        onChange={(next) => change({ ...value, week: value.week.with(i, next) })}
                        onRemove={() => change({ ...value, week: value.week.toSpliced(i, 1) })}
                    />
                ))}
                {!disabled && (
                    <Button size="small" onClick={() => change({ ...value, week: [...value.week, freeBand(value)] })}>
                        Add a band
                    </Button>
                )}
            </details>
            <h2>States</h2>
            {value.states.map((one, i) => (
                <div className="line-row" key={one.key}>
                    <Input
                        aria-label={`Name of the state ${one.name}`}
                        size="small"
                        style={{ width: 160 }}
                        defaultValue={one.name}
                        disabled={disabled}
                        onBlur={(event) =>
                            event.target.value !== one.name &&
                            change({ ...value, states: value.states.with(i, { ...one, name: event.target.value }) })
                        }
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
                        <Button
                            size="small"
                            type="text"
                            aria-label={`Remove the state ${one.name}`}
                            onClick={() => change({ ...value, states: value.states.toSpliced(i, 1) })}
                        >
                            ✕
                        </Button>
                    )}
                </div>
            ))}
            {error('/states') && <p className="alarm">{error('/states')}</p>}
            {!disabled && (
                <div className="line-row">
                    <Input
                        aria-label="Name of a new state"
                        size="small"
                        style={{ width: 160 }}
                        placeholder="A state of your own"
                        value={stateName}
                        onChange={(event) => setStateName(event.target.value)}
                        onPressEnter={addState}
                    />
                    <Button size="small" disabled={!stateName.trim()} onClick={addState}>
                        Add state
                    </Button>
                </div>
            )}
            <h2>Special days</h2>
            <SpecialDays value={value} change={change} error={error} disabled={disabled} />
        </>
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
            {!disabled && (
                <Button size="small" type="text" aria-label="Remove this band" onClick={onRemove}>
                    ✕
                </Button>
            )}
            {error && (
                <span className="alarm" role="alert">
                    {error}
                </span>
            )}
        </div>
    );
}

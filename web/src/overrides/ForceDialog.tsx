import { Button, Input, type InputRef, Modal, Radio, Select } from 'antd';
import { useRef, useState } from 'react';
import { RefusedError } from '../api/client';
import type { FieldError, HoursOutline, Override } from '../api/types';
import { nowIn } from '../moment/now';
import { errorAt } from '../plan/useElement';
import { Field } from '../ui/Field';
import { useForce } from './useOverrides';

/** Opens the dialog that forces hours into a state. */
export function ForceButton({ hours, zone }: { hours: HoursOutline; zone: string }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button size="small" onClick={() => setOpen(true)} aria-label={`Force ${hours.name} into a state`}>
                Force …
            </Button>
            {open && <ForceDialog hours={hours} zone={zone} onClose={() => setOpen(false)} />}
        </>
    );
}

function ForceDialog({ hours, zone, onClose }: { hours: HoursOutline; zone: string; onClose: () => void }) {
    const { force } = useForce();
    const [state, setState] = useState(hours.states.find((one) => !one.open)?.key ?? hours.default);
    const [reason, setReason] = useState('');
    const [end, setEnd] = useState<End>({ ends: 'next change', date: nowIn(zone).slice(0, 10), time: '18:00' });
    const [errors, setErrors] = useState<FieldError[]>([]);
    const [busy, setBusy] = useState(false);
    const because = useRef<InputRef>(null);

    const submit = async () => {
        setBusy(true);
        try {
            await force({
                hours: hours.id,
                state,
                reason: reason.trim(),
                ends: end.ends,
                ...(end.ends === 'at' ? { at: `${end.date}T${end.time}` } : {}),
            });
            onClose();
        } catch (error) {
            const problem = error instanceof RefusedError ? error.problem : undefined;
            setErrors(problem?.errors ?? [{ pointer: '', detail: problem?.detail ?? String(error), remedy: '' }]);
        }
        setBusy(false);
    };

    return (
        <Modal
            open
            title={`Force ${hours.name}`}
            okText="Force it now"
            confirmLoading={busy}
            onOk={submit}
            onCancel={onClose}
            afterOpenChange={(shown) => shown && because.current?.focus()}
            width={460}
        >
            <p className="quiet">
                Takes effect at once on live calls, without publishing. Every screen shows it while it lasts.
            </p>
            <Field label="Into the state" error={errorAt(errors, '/state')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Into the state"
                        value={state}
                        options={hours.states.map((one) => ({ value: one.key, label: one.name }))}
                        onChange={setState}
                    />
                )}
            </Field>
            <Field label="Because" hint="Colleagues read this" error={errorAt(errors, '/reason')}>
                {(a11y) => (
                    <Input
                        {...a11y}
                        ref={because}
                        value={reason}
                        maxLength={200}
                        placeholder="Storm, port closed"
                        onChange={(event) => setReason(event.target.value)}
                        onPressEnter={submit}
                    />
                )}
            </Field>
            <Until end={end} zone={zone} errors={errors} onChange={setEnd} />
            {errors.some((one) => one.pointer === '') && <p className="alarm">{errors[0]?.detail}</p>}
            {hours.codes.length > 0 && (
                <p className="quiet">
                    From a desk phone:{' '}
                    {hours.codes
                        .map(
                            (one) =>
                                `${one.code} ${one.state === null ? 'lifts it' : `forces into ${hours.states.find((state) => state.key === one.state)?.name}`}`,
                        )
                        .join(', ')}
                    .
                </p>
            )}
        </Modal>
    );
}

interface End {
    ends: Override['ends'];
    date: string;
    time: string;
}

/** When it ends: by the timetable, at a time, or when somebody lifts it. */
function Until({
    end,
    zone,
    errors,
    onChange,
}: {
    end: End;
    zone: string;
    errors: FieldError[];
    onChange: (end: End) => void;
}) {
    const wrong = errorAt(errors, '/at') ?? errorAt(errors, '/ends') ?? errorAt(errors, '/hours');
    return (
        <fieldset className="choice">
            <legend>Until</legend>
            <Radio.Group
                value={end.ends}
                onChange={(event) => onChange({ ...end, ends: event.target.value })}
                className="stacked"
                options={[
                    { value: 'next change', label: 'the next change of the timetable' },
                    { value: 'at', label: 'a time' },
                    { value: 'until lifted', label: 'somebody lifts it' },
                ]}
            />
            {end.ends === 'at' && (
                <div className="line-row">
                    <Input
                        type="date"
                        aria-label="Day it ends"
                        style={{ width: 150 }}
                        value={end.date}
                        onChange={(event) => onChange({ ...end, date: event.target.value })}
                    />
                    <Input
                        type="time"
                        aria-label="Time it ends"
                        style={{ width: 110 }}
                        value={end.time}
                        onChange={(event) => onChange({ ...end, time: event.target.value })}
                    />
                    <span className="quiet">{zone}</span>
                </div>
            )}
            {wrong && (
                <p className="alarm" role="alert">
                    {wrong}
                </p>
            )}
        </fieldset>
    );
}

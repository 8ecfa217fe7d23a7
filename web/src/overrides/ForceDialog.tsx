import { Button, Input, type InputRef, Modal, Radio, Select } from 'antd';
import { useRef, useState } from 'react';
import { RefusedError } from '../api/client';
import type { FieldError, HoursOutline, Override } from '../api/types';
import { nowIn } from '../moment/useMoment';
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
    const now = nowIn(zone);
    const [state, setState] = useState(hours.states.find((one) => !one.open)?.key ?? hours.default);
    const [reason, setReason] = useState('');
    const [ends, setEnds] = useState<Override['ends']>('next change');
    const [date, setDate] = useState(now.slice(0, 10));
    const [time, setTime] = useState('18:00');
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
                ends,
                ...(ends === 'at' ? { at: `${date}T${time}` } : {}),
            });
            onClose();
        } catch (error) {
            const problem = error instanceof RefusedError ? error.problem : undefined;
            setErrors(problem?.errors ?? [{ pointer: '', detail: problem?.detail ?? String(error), remedy: '' }]);
        } finally {
            setBusy(false);
        }
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
            <fieldset className="choice">
                <legend>Until</legend>
                <Radio.Group
                    value={ends}
                    onChange={(event) => setEnds(event.target.value)}
                    className="stacked"
                    options={[
                        { value: 'next change', label: 'the next change of the timetable' },
                        { value: 'at', label: 'a time' },
                        { value: 'until lifted', label: 'somebody lifts it' },
                    ]}
                />
                {ends === 'at' && (
                    <div className="line-row">
                        <Input
                            type="date"
                            aria-label="Day it ends"
                            style={{ width: 150 }}
                            value={date}
                            onChange={(event) => setDate(event.target.value)}
                        />
                        <Input
                            type="time"
                            aria-label="Time it ends"
                            style={{ width: 110 }}
                            value={time}
                            onChange={(event) => setTime(event.target.value)}
                        />
                        <span className="quiet">{zone}</span>
                    </div>
                )}
                {(errorAt(errors, '/at') ?? errorAt(errors, '/ends') ?? errorAt(errors, '/hours')) && (
                    <p className="alarm" role="alert">
                        {errorAt(errors, '/at') ?? errorAt(errors, '/ends') ?? errorAt(errors, '/hours')}
                    </p>
                )}
            </fieldset>
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

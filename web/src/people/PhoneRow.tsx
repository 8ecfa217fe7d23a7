import { Checkbox, Select, Switch } from 'antd';
import { LIMITS } from '../api/limits';
import type { Phone, Rung } from '../api/types';
import { Field } from '../ui/Field';
import { FindingsAt } from '../ui/FindingsAt';
import { NumberInput } from '../ui/NumberInput';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { MoveButton, RemoveButton } from '../ui/RowButtons';
import { TextField } from '../ui/TextField';
import { OwnMailbox, Reaching } from './OutsidePhone';

const TYPES = [
    { value: 'desk', label: 'Desk phone' },
    { value: 'soft', label: 'Soft phone' },
    { value: 'outside', label: 'Outside number' },
] as const;

/** One phone of a person: what it is, whether it rings, and whether its own mailbox may take calls. */
export function PhoneRow({
    phone,
    country,
    site,
    rung,
    at,
    disabled,
    error,
    onChange,
    onUp,
    onRemove,
}: {
    phone: Phone;
    country: string;
    /** From which calls to it leave. */
    site: string;
    rung: Rung | undefined;
    /** Its place in the person. */
    at: string;
    disabled: boolean;
    error: (field: string) => string | undefined;
    onChange: (phone: Phone) => void;
    onUp: (() => void) | undefined;
    onRemove: () => void;
}) {
    const outside = phone.type === 'outside';
    return (
        <div className={phone.on ? 'phone' : 'phone off'}>
            <Field label="Kind">
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Kind of phone"
                        value={phone.type}
                        disabled={disabled || outside}
                        options={TYPES.filter((type) => outside || type.value !== 'outside').map((type) => ({
                            ...type,
                        }))}
                        onChange={(type) => onChange({ ...phone, type })}
                    />
                )}
            </Field>
            <TextField
                label="Called"
                value={phone.label}
                disabled={disabled}
                error={error('label')}
                onSave={(label) => onChange({ ...phone, label })}
            />
            {outside ? (
                <PhoneNumberField
                    label="Number"
                    value={phone.number ?? ''}
                    country={country}
                    site={site}
                    disabled={disabled}
                    error={error('number')}
                    onSave={(number) => onChange({ ...phone, number })}
                />
            ) : (
                <span className="quiet grow">{rung ? `In this call: ${rung.outcome}` : ''}</span>
            )}
            {!disabled && (
                <span className="phone-tools">
                    <MoveButton what={phone.label} way="up" onClick={onUp} />
                    <RemoveButton label={`Remove ${phone.label}`} onClick={onRemove} />
                </span>
            )}
            <div className="line-row wrap phone-more">
                <Switch
                    size="small"
                    aria-label={`${phone.label} rings`}
                    checked={phone.on}
                    disabled={disabled}
                    onChange={(on) => onChange({ ...phone, on })}
                />
                <span className="quiet">{phone.on ? 'on' : 'off: kept, but it does not ring'}</span>
                <Checkbox
                    checked={phone.askFirst}
                    disabled={disabled}
                    onChange={(event) => onChange({ ...phone, askFirst: event.target.checked })}
                >
                    ask before connecting (press 1)
                </Checkbox>
                {phone.askFirst && (
                    <span className="line-row tight">
                        for
                        <NumberInput
                            label={`Seconds for which ${phone.label} is asked`}
                            unit="s"
                            {...LIMITS.phone.confirm}
                            value={phone.confirm}
                            disabled={disabled}
                            onSave={(confirm) => onChange({ ...phone, confirm })}
                        />
                    </span>
                )}
                {!outside && (
                    <span className="line-row tight">
                        takes
                        <NumberInput
                            label={`Calls at the same time on ${phone.label}`}
                            unit={phone.calls === 1 ? 'call at a time' : 'calls at a time'}
                            {...LIMITS.phone.calls}
                            value={phone.calls ?? 1}
                            disabled={disabled}
                            onSave={(calls) => onChange({ ...phone, calls })}
                        />
                    </span>
                )}
                {outside && rung && <span className="quiet">In this call: {rung.outcome}</span>}
            </div>
            {outside && <OwnMailbox phone={phone} disabled={disabled} onChange={onChange} />}
            {outside && <Reaching phone={phone} disabled={disabled} error={error} onChange={onChange} />}
            <div className="phone-more">
                <FindingsAt pointer={at} />
            </div>
        </div>
    );
}

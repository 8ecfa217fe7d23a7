import { Checkbox, Input, Select, Switch } from 'antd';
import type { Finding, Phone, Rung } from '../api/types';
import { ElementPicker } from '../ui/ElementPicker';
import { Field } from '../ui/Field';
import { Findings } from '../ui/Findings';
import { NumberInput } from '../ui/NumberInput';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { MoveButton, RemoveButton } from '../ui/RowButtons';
import { TextField } from '../ui/TextField';

const TYPES = [
    { value: 'desk', label: 'Desk phone' },
    { value: 'soft', label: 'Soft phone' },
    { value: 'outside', label: 'Outside number' },
] as const;
/** Mobiles hand over to their own mailbox after some five rings (common practice). */
const USUAL_MAILBOX = 20;

/** One phone of a person: what it is, whether it rings, and whether its own mailbox may take calls. */
export function PhoneRow({
    phone,
    country,
    site,
    rung,
    found,
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
    found: Finding[];
    disabled: boolean;
    error: (field: string) => string | undefined;
    onChange: (phone: Phone) => void;
    onUp: (() => void) | undefined;
    onRemove: () => void;
}) {
    const outside = phone.type === 'outside';
    const mailbox = phone.ownMailbox ?? null;
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
                {!outside && (
                    <span className="line-row tight">
                        takes
                        <NumberInput
                            label={`Calls at the same time on ${phone.label}`}
                            unit={phone.calls === 1 ? 'call at a time' : 'calls at a time'}
                            min={1}
                            max={20}
                            value={phone.calls ?? 1}
                            disabled={disabled}
                            onSave={(calls) => onChange({ ...phone, calls })}
                        />
                    </span>
                )}
                {outside && (
                    <>
                        <Checkbox
                            checked={mailbox !== null}
                            disabled={disabled}
                            onChange={(event) =>
                                onChange({ ...phone, ownMailbox: event.target.checked ? USUAL_MAILBOX : null })
                            }
                        >
                            its own mailbox answers
                        </Checkbox>
                        {mailbox !== null && (
                            <>
                                after
                                <NumberInput
                                    label={`Seconds until the own mailbox of ${phone.label} answers`}
                                    unit="s"
                                    min={0}
                                    max={120}
                                    value={mailbox}
                                    disabled={disabled}
                                    onSave={(ownMailbox) => onChange({ ...phone, ownMailbox })}
                                />
                            </>
                        )}
                        {rung && <span className="quiet">In this call: {rung.outcome}</span>}
                    </>
                )}
            </div>
            {outside && (
                <div className="line-row wrap phone-more">
                    <span>shows</span>
                    <ElementPicker
                        label={`Number that ${phone.label} shows`}
                        kinds={['number']}
                        clearable
                        placeholder="the caller’s number"
                        value={phone.shows ?? null}
                        disabled={disabled}
                        onChange={(shows) => onChange({ ...phone, shows })}
                    />
                    <span>then sends</span>
                    <Input
                        key={phone.digits}
                        aria-label={`Digits to send to ${phone.label}`}
                        size="small"
                        style={{ width: 120 }}
                        placeholder="no digits"
                        title="Once it is picked up: digits, * and #; a comma is a second’s pause"
                        defaultValue={phone.digits ?? ''}
                        disabled={disabled}
                        status={error('digits') ? 'error' : ''}
                        onBlur={(event) =>
                            event.target.value !== (phone.digits ?? '') &&
                            onChange({ ...phone, digits: event.target.value })
                        }
                    />
                    <span className={error('digits') ? 'alarm' : 'quiet'} role={error('digits') ? 'alert' : undefined}>
                        {error('digits') ?? 'a comma is a second’s pause'}
                    </span>
                </div>
            )}
            <div className="phone-more">
                <Findings found={found} />
            </div>
        </div>
    );
}

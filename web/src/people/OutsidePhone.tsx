import { Checkbox, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Phone } from '../api/types';
import { ElementPicker } from '../ui/ElementPicker';
import { LineInput } from '../ui/LineInput';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';

/** Mobiles hand over to their own mailbox after some five rings (common practice). */
const USUAL_MAILBOX = 20;
const WHEN_BUSY = [
    { value: 'usual', label: 'as mobiles do' },
    { value: 'yes', label: 'yes' },
    { value: 'no', label: 'no' },
];

interface Props {
    phone: Phone;
    disabled: boolean;
    onChange: (phone: Phone) => void;
}

/** The mailbox that a phone outside has of its own, and which calls it takes. */
export function OwnMailbox({ phone, disabled, onChange }: Props) {
    const mailbox = phone.ownMailbox ?? null;
    const whenBusy = phone.mailboxWhenBusy ?? null;
    return (
        <div className="line-row wrap phone-more">
            <Checkbox
                checked={mailbox !== null}
                disabled={disabled}
                onChange={(event) => onChange({ ...phone, ownMailbox: event.target.checked ? USUAL_MAILBOX : null })}
            >
                its own mailbox answers
            </Checkbox>
            {mailbox !== null && (
                <>
                    <span className="line-row tight">
                        after
                        <NumberInput
                            label={`Seconds until the own mailbox of ${phone.label} answers`}
                            unit="s of ringing"
                            {...LIMITS.phone.ownMailbox}
                            value={mailbox}
                            disabled={disabled}
                            onSave={(ownMailbox) => onChange({ ...phone, ownMailbox })}
                        />
                    </span>
                    <span className="line-row tight">
                        also calls that are declined or find it busy
                        <Select
                            aria-label={`Whether the own mailbox of ${phone.label} also takes declined calls`}
                            size="small"
                            style={{ width: 130 }}
                            value={whenBusy === null ? 'usual' : whenBusy ? 'yes' : 'no'}
                            options={WHEN_BUSY}
                            disabled={disabled}
                            onChange={(choice) =>
                                onChange({ ...phone, mailboxWhenBusy: choice === 'usual' ? null : choice === 'yes' })
                            }
                        />
                    </span>
                </>
            )}
        </div>
    );
}

/** How a phone outside is reached: the time until it rings, what it shows, and what it is sent. */
export function Reaching({
    phone,
    disabled,
    error,
    onChange,
}: Props & { error: (field: string) => string | undefined }) {
    return (
        <div className="line-row wrap phone-more">
            <span>rings</span>
            <OptionalNumberInput
                label={`Seconds between dialling and the first ring of ${phone.label}`}
                open="usual"
                unit="s after it is dialled"
                {...LIMITS.phone.setUp}
                value={phone.setUp ?? null}
                disabled={disabled}
                onSave={(setUp) => onChange({ ...phone, setUp })}
            />
            <span className="line-row tight">
                takes
                <OptionalNumberInput
                    label={`Calls at the same time on ${phone.label}`}
                    open="usual"
                    unit="calls at a time"
                    {...LIMITS.phone.calls}
                    value={phone.calls ?? null}
                    disabled={disabled}
                    onSave={(calls) => onChange({ ...phone, calls })}
                />
            </span>
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
            <LineInput
                label={`Digits to send to ${phone.label}`}
                width={120}
                placeholder="no digits"
                title="Once it is picked up: digits, * and #; a comma is a second’s pause"
                value={phone.digits ?? ''}
                disabled={disabled}
                isWrong={Boolean(error('digits'))}
                onSave={(digits) => onChange({ ...phone, digits })}
            />
            <span className={error('digits') ? 'alarm' : 'quiet'} role={error('digits') ? 'alert' : undefined}>
                {error('digits') ??
                    'a comma is a second’s pause. Usual: 3 s and two calls for a mobile, 2 s and one for others'}
            </span>
        </div>
    );
}

import { Button, Select } from 'antd';
import type { Person, Phone } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { TextField } from '../ui/TextField';

const TYPES = [
    { value: 'desk', label: 'Desk phone' },
    { value: 'soft', label: 'Soft phone' },
    { value: 'outside', label: 'Outside number' },
] as const;

export function PeopleScreen() {
    const { data: trace } = useAnswer();
    const rung = new Set(trace?.rung.filter((one) => one.until > one.from).map((one) => one.person));
    return (
        <ElementScreen
            kind="person"
            empty="There is nobody yet. Name somebody below; they start with a desk phone."
            searchable={(person) => person.extension}
            note={(person) => `${person.extension}${rung.has(person.id) ? ' · rings' : ''}`}
            editor={(props) => <PersonEditor {...props} />}
        />
    );
}

function PersonEditor({ value, change, error, disabled }: EditorProps<Person>) {
    const plan = usePlan();
    const { data: trace } = useAnswer();
    const country = plan?.get('site', value.site)?.country ?? 'GB';
    const setPhone = (i: number, phone: Phone) => change({ ...value, phones: value.phones.with(i, phone) });
    const rung = (phone: Phone) => trace?.rung.find((one) => one.phone === `${value.id}/${phone.id}`);

    return (
        <>
            <div className="fields">
                <TextField
                    label="Extension"
                    value={value.extension}
                    disabled={disabled}
                    error={error('/extension')}
                    hint="2 to 6 digits, or empty"
                    onSave={(extension) => change({ ...value, extension })}
                />
                <Field label="Site" error={error('/site')}>
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            status={a11y.status}
                            label="Site"
                            kinds={['site']}
                            value={value.site}
                            disabled={disabled}
                            onChange={(site) => site && change({ ...value, site })}
                        />
                    )}
                </Field>
                <Field
                    label="Own mailbox"
                    hint="Takes their direct calls when nobody answers"
                    error={error('/mailbox')}
                >
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            status={a11y.status}
                            label="Own mailbox"
                            kinds={['mailbox']}
                            clearable
                            placeholder="none"
                            value={value.mailbox}
                            disabled={disabled}
                            onChange={(mailbox) => change({ ...value, mailbox })}
                        />
                    )}
                </Field>
            </div>
            <h2>Phones</h2>
            {value.phones.length === 0 && <p className="quiet">No phone: nothing rings for {value.name}.</p>}
            {value.phones.map((phone, i) => (
                <div className="phone" key={phone.id}>
                    <Field label="Kind">
                        {(a11y) => (
                            <Select
                                {...a11y}
                                aria-label="Kind of phone"
                                value={phone.type}
                                disabled={disabled || phone.type === 'outside'}
                                options={TYPES.filter(
                                    (type) => phone.type === 'outside' || type.value !== 'outside',
                                ).map((type) => ({ ...type }))}
                                onChange={(type) => setPhone(i, { id: phone.id, label: phone.label, type })}
                            />
                        )}
                    </Field>
                    <TextField
                        label="Called"
                        value={phone.label}
                        disabled={disabled}
                        error={error(`/phones/${i}/label`)}
                        onSave={(label) => setPhone(i, { ...phone, label })}
                    />
                    {phone.type === 'outside' ? (
                        <PhoneNumberField
                            label="Number"
                            value={phone.number ?? ''}
                            country={country}
                            disabled={disabled}
                            error={error(`/phones/${i}/number`)}
                            onSave={(number) => setPhone(i, { ...phone, number })}
                        />
                    ) : (
                        <span className="quiet grow">{rung(phone) ? `In this call: ${rung(phone)?.outcome}` : ''}</span>
                    )}
                    {!disabled && (
                        <Button
                            size="small"
                            type="text"
                            aria-label={`Remove ${phone.label}`}
                            onClick={() => change({ ...value, phones: value.phones.toSpliced(i, 1) })}
                        >
                            ✕
                        </Button>
                    )}
                </div>
            ))}
            {error('/phones') && <p className="alarm">{error('/phones')}</p>}
            {!disabled && (
                <PhoneAdder
                    person={value}
                    country={country}
                    onAdd={(phone) => change({ ...value, phones: [...value.phones, phone] })}
                />
            )}
        </>
    );
}

/** An outside phone comes with its number at once: without one it could not be saved. */
function PhoneAdder({ person, country, onAdd }: { person: Person; country: string; onAdd: (phone: Phone) => void }) {
    const id = (base: string) => {
        let candidate = base;
        for (let n = 2; person.phones.some((phone) => phone.id === candidate); n++) candidate = `${base}${n}`;
        return candidate;
    };
    return (
        <div className="line-row wrap">
            <Button size="small" onClick={() => onAdd({ id: id('desk'), type: 'desk', label: 'Desk phone' })}>
                Add a desk phone
            </Button>
            <Button size="small" onClick={() => onAdd({ id: id('laptop'), type: 'soft', label: 'Laptop' })}>
                Add a soft phone
            </Button>
            <PhoneNumberField
                key={person.phones.length}
                label="Add an outside number"
                value=""
                country={country}
                onSave={(number) => onAdd({ id: id('mobile'), type: 'outside', label: 'Mobile', number })}
            />
        </div>
    );
}

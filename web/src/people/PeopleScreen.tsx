import { Button, Checkbox } from 'antd';
import type { Person, Phone } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { unique } from '../plan/unique';
import { usePlan } from '../plan/usePlan';
import { PersonRings } from '../ringing/PersonRings';
import { ringingOf } from '../ringing/ringingOf';
import { ElementField, SiteField } from '../ui/ElementField';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { TextField } from '../ui/TextField';
import { AnsweringRules } from './AnsweringRules';
import { ListingFields } from './ListingFields';
import { OtherPeople } from './OtherPeople';
import { PeopleFiles } from './PeopleFiles';
import { PhoneRow } from './PhoneRow';
import { withoutPhone } from './rules';
import { ShownOutside } from './ShownOutside';
import { StatusNow } from './StatusNow';

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
            foot={<PeopleFiles />}
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
                <SiteField
                    value={value.site}
                    error={error('/site')}
                    disabled={disabled}
                    onChange={(site) => change({ ...value, site })}
                />
                <ElementField
                    label="Own mailbox"
                    hint="Takes their direct calls when nobody answers"
                    error={error('/mailbox')}
                    kind="mailbox"
                    none="none"
                    value={value.mailbox}
                    disabled={disabled}
                    onChange={(mailbox) => change({ ...value, mailbox })}
                />
                <StatusNow person={value} />
                <ShownOutside value={value} disabled={disabled} error={error('/shows')} change={change} />
            </div>
            <FindingsAt pointer="/shows" />
            <h2>Phones</h2>
            {value.phones.map((phone, i) => (
                <PhoneRow
                    key={phone.id}
                    phone={phone}
                    country={country}
                    site={value.site}
                    rung={rung(phone)}
                    at={`/phones/${i}`}
                    disabled={disabled}
                    error={(field) => error(`/phones/${i}/${field}`)}
                    onChange={(next) => setPhone(i, next)}
                    onUp={
                        i > 0
                            ? () =>
                                  change({
                                      ...value,
                                      phones: value.phones.toSpliced(i, 1).toSpliced(i - 1, 0, phone),
                                  })
                            : undefined
                    }
                    onRemove={() => change(withoutPhone(value, phone.id))}
                />
            ))}
            <FindingsAt pointer="/phones" />
            {value.phones.length > 1 && (
                <Checkbox
                    checked={value.refusesForAll}
                    disabled={disabled}
                    onChange={(event) => change({ ...value, refusesForAll: event.target.checked })}
                >
                    Declining on one phone silences all of them
                </Checkbox>
            )}
            {!disabled && (
                <PhoneAdder
                    person={value}
                    country={country}
                    onAdd={(phone) => change({ ...value, phones: [...value.phones, phone] })}
                />
            )}
            <PersonRings value={value} disabled={disabled} change={change} />
            <AnsweringRules
                value={value}
                change={change}
                error={error}
                disabled={disabled}
                holds={ringingOf(trace?.events, value.id).rule}
            />
            <ListingFields value={value} change={change} error={error} disabled={disabled} />
            {!disabled && <OtherPeople key={value.id} person={value} />}
        </>
    );
}

/** Seconds for which whoever picks up is asked (common practice). */
const USUAL_CONFIRM = 10;

/** An outside phone comes with its number at once: without one it could not be saved. */
function PhoneAdder({ person, country, onAdd }: { person: Person; country: string; onAdd: (phone: Phone) => void }) {
    const add = (id: string, label: string, phone: Omit<Phone, 'id' | 'label' | 'on' | 'confirm'>) =>
        onAdd({
            id: unique(
                id,
                person.phones.map((one) => one.id),
            ),
            label: unique(
                label,
                person.phones.map((one) => one.label),
                ' ',
            ),
            on: true,
            confirm: USUAL_CONFIRM,
            ...phone,
        });
    return (
        <div className="line-row wrap">
            <Button size="small" onClick={() => add('desk', 'Desk phone', { type: 'desk', askFirst: false, calls: 1 })}>
                Add a desk phone
            </Button>
            <Button size="small" onClick={() => add('laptop', 'Laptop', { type: 'soft', askFirst: false, calls: 1 })}>
                Add a soft phone
            </Button>
            <PhoneNumberField
                label="Add an outside number"
                value=""
                country={country}
                site={person.site}
                onSave={(number) =>
                    add('mobile', 'Mobile', {
                        type: 'outside',
                        number,
                        askFirst: true,
                        calls: null,
                        ownMailbox: null,
                        mailboxWhenBusy: null,
                        setUp: null,
                        digits: '',
                        shows: null,
                    })
                }
            />
        </div>
    );
}

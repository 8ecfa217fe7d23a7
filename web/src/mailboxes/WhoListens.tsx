import { Checkbox, Select } from 'antd';
import type { Mailbox } from '../api/types';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { BY_LABEL } from '../ui/searched';
import { PinLine } from './PinLine';

export function WhoListens({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const plan = usePlan();
    const named = (kind: 'person' | 'team') =>
        (plan?.all(kind) ?? []).map((one) => ({ value: one.id, label: one.name }));
    return (
        <>
            <div className="fields">
                <Field label="Owners" hint="People, and teams that share it" error={error('/owners')}>
                    {(a11y) => (
                        <Select
                            {...a11y}
                            aria-label="Owners"
                            mode="multiple"
                            showSearch={BY_LABEL}
                            value={value.owners}
                            disabled={disabled}
                            options={[
                                { label: 'People', options: named('person') },
                                { label: 'Teams', options: named('team') },
                            ]}
                            onChange={(owners) => change({ ...value, owners })}
                        />
                    )}
                </Field>
                <Field label="E-mail addresses told" hint="Type one and press Enter" error={error('/notify')}>
                    {(a11y) => (
                        <Select
                            {...a11y}
                            aria-label="E-mail addresses told"
                            mode="tags"
                            open={false}
                            suffixIcon={null}
                            tokenSeparators={[',', ' ', ';']}
                            value={value.notify}
                            disabled={disabled}
                            onChange={(notify) => change({ ...value, notify })}
                        />
                    )}
                </Field>
            </div>
            <Checkbox
                checked={value.withSound}
                disabled={disabled}
                onChange={(event) => change({ ...value, withSound: event.target.checked })}
            >
                the e-mail brings the message
            </Checkbox>
            {!disabled && <PinLine mailbox={value} />}
        </>
    );
}

import { Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Mailbox } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { usePlan } from '../plan/usePlan';
import { ElementField } from '../ui/ElementField';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { NumberInput } from '../ui/NumberInput';

export function MailboxesScreen() {
    const { data: trace } = useAnswer();
    return (
        <ElementScreen
            kind="mailbox"
            empty="There is no mailbox yet. Name one below."
            note={(mailbox) => (trace?.ending.who === mailbox.id ? 'takes this call' : '')}
            editor={(props) => <MailboxEditor {...props} />}
        />
    );
}

function MailboxEditor({ value, change, error, disabled }: EditorProps<Mailbox>) {
    const plan = usePlan();
    return (
        <div className="fields">
            <Field label="Owners" hint="Who listens to it" error={error('/owners')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Owners"
                        mode="multiple"
                        showSearch={{ optionFilterProp: 'label' }}
                        value={value.owners}
                        disabled={disabled}
                        options={plan?.all('person').map((person) => ({ value: person.id, label: person.name })) ?? []}
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
            <ElementField
                label="Greeting"
                hint="Callers hear it before they speak"
                error={error('/greeting')}
                kind="prompt"
                none="none"
                value={value.greeting}
                disabled={disabled}
                onChange={(greeting) => change({ ...value, greeting })}
            />
            <Field label="Longest message" error={error('/longestSeconds')}>
                {(a11y) => (
                    <NumberInput
                        id={a11y.id}
                        label="Longest message"
                        unit="s"
                        {...LIMITS.mailbox.longestSeconds}
                        value={value.longestSeconds}
                        disabled={disabled}
                        onSave={(longestSeconds) => change({ ...value, longestSeconds })}
                    />
                )}
            </Field>
        </div>
    );
}

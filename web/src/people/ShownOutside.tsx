import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Person } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { Field } from '../ui/Field';

/** The number that calls of somebody to outside show. */
export function ShownOutside({
    value,
    disabled,
    error,
    change,
}: {
    value: Person;
    disabled: boolean;
    error: string | undefined;
    change: (next: Person) => void;
}) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { data: own } = useQuery({
        queryKey: ['own-number', moment.in, value.id, value.extension, plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/people/{id}/own-number', {
                    params: { path: { which: moment.in, id: value.id } },
                }),
            ),
        placeholderData: (before) => before,
    });
    const international = own?.international;
    return (
        <Field
            label="Calls to outside show"
            hint={international ? `Their own number is ${international}` : 'They have no number of their own'}
            error={error}
        >
            {(a11y) => (
                <ElementPicker
                    id={a11y.id}
                    status={a11y.status}
                    label="Calls to outside show"
                    kinds={['number']}
                    value={value.shows}
                    placeholder="what the line says"
                    clearable
                    disabled={disabled}
                    extra={[
                        { value: 'own', label: international ? `their own, ${international}` : 'their own' },
                        { value: 'withheld', label: 'no number' },
                    ]}
                    extraTitle="Theirs, or none"
                    onChange={(shows) => change({ ...value, shows })}
                />
            )}
        </Field>
    );
}

import { ElementPicker } from './ElementPicker';
import { Field } from './Field';

/** Adds somebody to a list of people, or makes them right there. */
export function AddPerson({
    label,
    exclude,
    onAdd,
}: {
    label: string;
    exclude: string[];
    onAdd: (person: string) => void;
}) {
    return (
        <Field label={label}>
            {(a11y) => (
                <ElementPicker
                    id={a11y.id}
                    label={label}
                    kinds={['person']}
                    exclude={exclude}
                    value={null}
                    placeholder="Choose or name somebody"
                    onChange={(person) => person && onAdd(person)}
                />
            )}
        </Field>
    );
}

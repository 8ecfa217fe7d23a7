import { LineInput } from './LineInput';

/** A date that is kept when the field is left; an unfinished one is not. */
export function DateInput(props: { label: string; value: string; disabled: boolean; onSave: (date: string) => void }) {
    return <LineInput {...props} type="date" width={140} read={(typed) => typed || null} />;
}

import { TimeInput } from '../hours/TimeInput';

/** From one time of day to another. */
export function TimeSpan({
    value,
    disabled,
    onChange,
}: {
    value: { from: string; to: string };
    disabled: boolean;
    onChange: (span: { from: string; to: string }) => void;
}) {
    return (
        <>
            <TimeInput
                label="From"
                value={value.from}
                disabled={disabled}
                onSave={(from) => onChange({ ...value, from })}
            />
            –
            <TimeInput label="To" value={value.to} disabled={disabled} onSave={(to) => onChange({ ...value, to })} />
        </>
    );
}

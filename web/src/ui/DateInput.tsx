import { Input } from 'antd';

/** A date that is kept when the field is left; an unfinished one is not. */
export function DateInput({
    label,
    value,
    disabled,
    onSave,
}: {
    label: string;
    value: string;
    disabled: boolean;
    onSave: (date: string) => void;
}) {
    const commit = (date: string) => date && date !== value && onSave(date);
    return (
        <Input
            key={value}
            aria-label={label}
            type="date"
            size="small"
            style={{ width: 140 }}
            defaultValue={value}
            disabled={disabled}
            onBlur={(event) => commit(event.target.value)}
            onPressEnter={(event) => commit(event.currentTarget.value)}
        />
    );
}

import { Input } from 'antd';
import type { ReactNode } from 'react';
import { Field } from './Field';
import { useTyped } from './useTyped';

/** Text that is saved when the field is left or Enter is pressed. */
export function TextField(props: {
    label: string;
    value: string;
    onSave: (text: string) => void;
    disabled?: boolean;
    error?: string | undefined;
    hint?: ReactNode;
    rows?: number;
    placeholder?: string;
    wide?: boolean;
}) {
    const { label, value, onSave, disabled = false, error, hint, rows, placeholder, wide } = props;
    const { typed: text, setTyped: setText, save } = useTyped(value, onSave);
    const commit = () => save(text);
    return (
        <Field label={label} error={error} hint={hint} wide={wide ?? false}>
            {(a11y) =>
                rows ? (
                    <Input.TextArea
                        {...a11y}
                        rows={rows}
                        value={text}
                        disabled={disabled}
                        placeholder={placeholder ?? ''}
                        onChange={(event) => setText(event.target.value)}
                        onBlur={commit}
                    />
                ) : (
                    <Input
                        {...a11y}
                        value={text}
                        disabled={disabled}
                        placeholder={placeholder ?? ''}
                        onChange={(event) => setText(event.target.value)}
                        onBlur={commit}
                        onPressEnter={commit}
                    />
                )
            }
        </Field>
    );
}

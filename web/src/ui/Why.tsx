import { Input } from 'antd';
import { useId } from 'react';
import { useTyped } from './useTyped';
import css from './why.module.css';

/** Why an element is as it is, in somebody's own words for whoever comes after: read and written where it stands. */
export function Why({
    value,
    disabled,
    error,
    onSave,
}: {
    value: string;
    disabled: boolean;
    error: string | undefined;
    onSave: (why: string) => void;
}) {
    const id = useId();
    const { typed, setTyped, save, back } = useTyped(value, onSave);
    if (disabled) return value === '' ? null : <Said why={value} />;
    return (
        <div className={css.why}>
            <label htmlFor={id}>Why it is so</label>
            <Input.TextArea
                id={id}
                variant="borderless"
                autoSize={{ minRows: 1, maxRows: 8 }}
                value={typed}
                placeholder="In your words, for whoever comes after"
                status={error ? 'error' : ''}
                aria-invalid={error ? true : undefined}
                aria-describedby={error ? `${id}-about` : undefined}
                onChange={(event) => setTyped(event.target.value)}
                onBlur={() => save(typed)}
                onKeyDown={(event) => {
                    if (event.key === 'Escape') back();
                }}
            />
            {error && (
                <p id={`${id}-about`} className="about alarm" role="alert">
                    {error}
                </p>
            )}
        </div>
    );
}

/** What somebody said of it. */
export function Said({ name, why }: { name?: string; why: string }) {
    return (
        <p className={css.said}>
            {name ? `${name}: ` : ''}“{why}”
        </p>
    );
}

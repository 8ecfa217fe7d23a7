import { InputNumber } from 'antd';
import { useTyped } from './useTyped';

/** A whole number with its unit, saved when the field is left, Enter is pressed, or a step is taken. */
export function NumberInput(props: {
    value: number;
    unit: string;
    min: number;
    max: number;
    label: string;
    onSave: (value: number) => void;
    disabled?: boolean;
    id?: string;
    autoFocus?: boolean;
}) {
    const { value, unit, min, max, label, onSave, disabled = false, id, autoFocus = false } = props;
    const { typed, setTyped, save, back } = useTyped<number | null>(value, (next) => next !== null && onSave(next));
    const commit = () => (typed === null ? back() : save(typed));
    return (
        <span className="with-unit">
            <InputNumber
                {...(id ? { id } : {})}
                aria-label={label}
                value={typed}
                min={min}
                max={max}
                precision={0}
                disabled={disabled}
                autoFocus={autoFocus}
                onChange={(next) => setTyped(next)}
                onStep={(next) => save(Number(next))}
                onBlur={commit}
                onPressEnter={commit}
                style={{ width: 76 }}
            />
            <span>{unit}</span>
        </span>
    );
}

import { InputNumber } from 'antd';
import { useTyped } from './useTyped';

/** A whole number that may be left open, saved when the field is left or Enter is pressed. */
export function OptionalNumberInput(props: {
    value: number | null;
    /** What counts where it is left open. */
    open: string;
    unit: string;
    min: number;
    max: number;
    label: string;
    onSave: (value: number | null) => void;
    disabled?: boolean;
}) {
    const { value, open, unit, min, max, label, onSave, disabled = false } = props;
    const { typed, setTyped, save } = useTyped(value, onSave);
    const commit = () => save(typed);
    return (
        <span className="with-unit">
            <InputNumber
                aria-label={label}
                value={typed}
                placeholder={open}
                min={min}
                max={max}
                precision={0}
                disabled={disabled}
                onChange={(next) => setTyped(next)}
                onBlur={commit}
                onPressEnter={commit}
                style={{ width: 76 }}
            />
            <span>{unit}</span>
        </span>
    );
}

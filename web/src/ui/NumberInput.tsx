import { InputNumber } from 'antd';
import { useState } from 'react';
import { useTyped } from './useTyped';

/** A whole number with its unit, saved when the field is left, Enter is pressed, or a step is taken. Beyond a limit, it is the limit, and says so. */
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
    const [text, setText] = useState('');
    const [limit, setLimit] = useState<string>();
    const commit = () => {
        const beyond = limitOf(text, min, max);
        if (text !== '')
            setLimit(beyond === undefined ? undefined : `At ${beyond === min ? 'least' : 'most'} ${beyond}`);
        setText('');
        if (beyond !== undefined) save(beyond);
        else if (typed === null) back();
        else save(typed);
    };
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
                onInput={(next) => {
                    setText(next);
                    setLimit(undefined);
                }}
                onStep={(next) => {
                    setText('');
                    setLimit(undefined);
                    save(Number(next));
                }}
                onBlur={commit}
                onPressEnter={commit}
                style={{ width: 76 }}
            />
            <span>{unit}</span>
            {limit && (
                <span className="about" role="status">
                    {limit}
                </span>
            )}
        </span>
    );
}

/** The limit beyond which a number was typed. */
function limitOf(typed: string, min: number, max: number): number | undefined {
    const number = typed.trim() === '' ? min : Number(typed);
    if (number < min) return min;
    return number > max ? max : undefined;
}

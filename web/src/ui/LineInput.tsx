import { Input } from 'antd';
import { useTyped } from './useTyped';

/** A few words, a code or a moment in a line of others: saved when the field is left or Enter is pressed; Escape brings back what is saved. */
export function LineInput(props: {
    label: string;
    value: string;
    width?: number;
    onSave: (text: string) => void;
    /** What is saved of what was typed; null where that is nothing, and the field goes back. */
    read?: (typed: string) => string | null;
    /** Enter, where nothing is left to be saved. */
    onDone?: () => void;
    type?: 'text' | 'date' | 'datetime-local';
    size?: 'small' | 'middle';
    placeholder?: string;
    maxLength?: number;
    disabled?: boolean;
    isWrong?: boolean;
    title?: string;
    className?: string;
}) {
    const { label, value, width, onSave, onDone, read, size = 'small', isWrong = false, ...others } = props;
    const { typed, setTyped, save, back } = useTyped(value, onSave);
    const commit = () => {
        const text = read ? read(typed) : typed;
        if (text === null) return back();
        setTyped(text);
        save(text);
    };
    return (
        <Input
            {...others}
            aria-label={label}
            size={size}
            {...(width ? { style: { width } } : {})}
            status={isWrong ? 'error' : ''}
            aria-invalid={isWrong || undefined}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={commit}
            onPressEnter={() => (onDone && typed === value ? onDone() : commit())}
            onKeyDown={(event) => {
                if (event.key !== 'Escape' || typed === value) return;
                event.stopPropagation();
                back();
            }}
        />
    );
}

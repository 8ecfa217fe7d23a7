import { Button, Input, type InputRef } from 'antd';
import { useId, useRef, useState } from 'react';

/** Something new that needs a name first: added by Enter or the button. Where there is none yet, the field says so. */
export function AddByName(props: {
    label: string;
    placeholder?: string;
    button: string;
    width?: number;
    /** Comes to false where it could not be added: the name comes back. */
    onAdd: (name: string) => unknown;
}) {
    const { label, placeholder = label, button, width, onAdd } = props;
    const [name, setName] = useState('');
    const [isMissing, setMissing] = useState(false);
    const field = useRef<InputRef>(null);
    const about = useId();
    const adding = useRef(0);
    const add = async () => {
        const wanted = name.trim();
        // Whoever presses twice means the one that is being added.
        if (wanted === '' && adding.current > 0) return;
        setMissing(wanted === '');
        if (wanted === '') return field.current?.focus();
        // The next one can be typed meanwhile.
        setName('');
        adding.current++;
        const isAdded = (await onAdd(wanted)) !== false;
        adding.current--;
        if (!isAdded) setName((typed) => typed || wanted);
    };
    return (
        <>
            <Input
                ref={field}
                aria-label={label}
                aria-invalid={isMissing || undefined}
                aria-describedby={isMissing ? about : undefined}
                status={isMissing ? 'error' : ''}
                size="small"
                {...(width ? { style: { width } } : {})}
                placeholder={placeholder}
                value={name}
                onChange={(event) => {
                    setName(event.target.value);
                    setMissing(false);
                }}
                onPressEnter={add}
            />
            <Button size="small" onClick={add}>
                {button}
            </Button>
            {isMissing && (
                <p id={about} className="about alarm" role="alert">
                    A name comes first.
                </p>
            )}
        </>
    );
}

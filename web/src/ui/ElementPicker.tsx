import { Button, Divider, Input, Select } from 'antd';
import { memo, type ReactElement, useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { Kind } from '../api/types';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { BY_LABEL } from './searched';

interface Props {
    kinds: Kind[];
    value: string | null;
    onChange: (id: string | null) => void;
    label: string;
    id?: string;
    disabled?: boolean;
    clearable?: boolean;
    autoFocus?: boolean;
    status?: 'error' | '';
    placeholder?: string;
    exclude?: string[];
    /** Other things that can be chosen, such as a number outside. */
    extra?: { value: string; label: string }[];
    extraTitle?: string;
}

/** Chooses an element, or makes a new one right here. */
export function ElementPicker({
    kinds,
    value,
    onChange,
    label,
    id,
    disabled = false,
    clearable = false,
    autoFocus = false,
    status = '',
    placeholder,
    exclude = [],
    extra = [],
    extraTitle = 'Outside',
}: Props) {
    const plan = usePlan();
    const { create } = useEdit();
    const [name, setName] = useState('');
    const [open, setOpen] = useState(false);
    const choose = useLatest((next: string | undefined) => onChange(next ?? null));
    if (!plan) return null;
    // Closed, it needs the name of what is chosen only: a screen may have dozens of them, and a plan thousands of elements.
    const groups = kinds.map((kind) => ({
        label: KINDS[kind].many,
        title: KINDS[kind].many,
        options: (open ? plan.all(kind) : [plan.get(kind, value)])
            .filter((element) => element !== undefined)
            .filter((element) => !exclude.includes(element.id))
            .map((element) => ({ value: element.id, label: element.name })),
    }));
    const make = async (kind: Kind) => {
        const made = name.trim() && (await create(kind, name.trim(), plan));
        if (made) {
            onChange(made);
            setName('');
            setOpen(false);
        }
    };

    return (
        <QuietSelect
            {...(id ? { id } : {})}
            label={label}
            open={open}
            onOpenChange={setOpen}
            value={value}
            disabled={disabled}
            clearable={clearable}
            autoFocus={autoFocus}
            status={status}
            placeholder={placeholder ?? 'Choose'}
            options={[
                ...(extra.length > 0 ? [{ label: extraTitle, title: extraTitle, options: extra }] : []),
                ...(groups.length === 1 ? (groups[0]?.options ?? []) : groups),
            ]}
            onChoose={choose}
            popupRender={(menu) => (
                <>
                    {menu}
                    <Divider style={{ margin: '6px 0' }} />
                    <div className="maker">
                        <Input
                            size="small"
                            aria-label={`Name of a new ${kinds.map((kind) => KINDS[kind].one).join(' or ')}`}
                            placeholder="Or name a new one"
                            value={name}
                            onChange={(event) => setName(event.target.value)}
                            onKeyDown={(event) => {
                                event.stopPropagation();
                                if (event.key === 'Enter' && kinds[0]) make(kinds[0]);
                            }}
                        />
                        {kinds.map((kind) => (
                            <Button key={kind} size="small" disabled={!name.trim()} onClick={() => make(kind)}>
                                Add {KINDS[kind].one}
                            </Button>
                        ))}
                    </div>
                </>
            )}
        />
    );
}

interface SelectProps {
    id?: string;
    label: string;
    open: boolean;
    onOpenChange: (open: boolean) => void;
    value: string | null;
    disabled: boolean;
    clearable: boolean;
    autoFocus: boolean;
    status: 'error' | '';
    placeholder: string;
    options: { label: string; value?: string; options?: { label: string; value: string }[] }[];
    onChoose: (id: string | undefined) => void;
    popupRender: (menu: ReactElement) => ReactElement;
}

/** A select is dear to draw: while it is closed and shows the same, it is left alone. */
const QuietSelect = memo(
    function QuietSelect({ label, clearable, onChoose, ...props }: SelectProps) {
        return (
            <Select
                {...props}
                aria-label={label}
                className="picker"
                showSearch={BY_LABEL}
                allowClear={clearable}
                popupMatchSelectWidth={280}
                onChange={onChoose}
            />
        );
    },
    (before, after) => !before.open && !after.open && shown(before) === shown(after),
);

function shown({ popupRender: _, onChoose: __, onOpenChange: ___, ...visible }: SelectProps): string {
    return JSON.stringify(visible);
}

/** A function that stays the same and does what the latest one would. */
function useLatest<A extends unknown[]>(act: (...given: A) => void): (...given: A) => void {
    const latest = useRef(act);
    useLayoutEffect(() => {
        latest.current = act;
    });
    return useCallback((...given: A) => latest.current(...given), []);
}

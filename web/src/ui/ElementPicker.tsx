import { Button, Divider, Input, Select } from 'antd';
import { useState } from 'react';
import type { Kind } from '../api/types';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';

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
}: Props) {
    const plan = usePlan();
    const { create } = useEdit();
    const [name, setName] = useState('');
    const [open, setOpen] = useState(false);
    if (!plan) return null;
    // Closed, it needs the name of what is chosen only: a screen may have dozens of them, and a plan thousands of elements.
    const groups = kinds.map((kind) => ({
        label: KINDS[kind].many,
        title: KINDS[kind].many,
        options: (open ? plan.all(kind) : plan.all(kind).filter((element) => element.id === value))
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
        <Select
            {...(id ? { id } : {})}
            aria-label={label}
            className="picker"
            showSearch={{ optionFilterProp: 'label' }}
            open={open}
            onOpenChange={setOpen}
            value={value}
            disabled={disabled}
            allowClear={clearable}
            autoFocus={autoFocus}
            status={status}
            placeholder={placeholder ?? 'Choose'}
            popupMatchSelectWidth={280}
            options={[
                ...(extra.length > 0 ? [{ label: 'Outside', title: 'Outside', options: extra }] : []),
                ...(groups.length === 1 ? (groups[0]?.options ?? []) : groups),
            ]}
            onChange={(next: string | undefined) => onChange(next ?? null)}
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

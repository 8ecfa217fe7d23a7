import { Select } from 'antd';
import { memo, type ReactElement, useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { Kind } from '../api/types';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { isFound, plain } from './searched';

/** Begins what stands for an element that is made by choosing it: its kind follows. */
const NEW = 'new:';

const FOUND = (typed: string, option?: { label?: unknown; value?: unknown }) =>
    String(option?.value ?? '').startsWith(NEW) || isFound(String(option?.label ?? ''), typed);

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

/** Chooses an element, or makes a new one right here: of the name that is typed, where there is none of it. */
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
    const [typed, setTyped] = useState('');
    const [open, setOpen] = useState(false);
    const choose = useLatest(async (next: string | undefined) => {
        if (!next?.startsWith(NEW) || !plan) return onChange(next ?? null);
        const made = await create(next.slice(NEW.length) as Kind, name, plan);
        if (made) return onChange(made);
        setTyped(name);
        setOpen(true);
    });
    const show = useLatest((next: boolean) => {
        setOpen(next);
        next || setTyped('');
    });
    if (!plan) return null;
    const name = typed.trim();
    // A number is added as it is dialled, on the screen of numbers.
    const makes = kinds.filter((kind) => kind !== 'number');
    // Closed, it needs the name of what is chosen only: a screen may have dozens of them, and a plan thousands of elements.
    const groups = kinds.map((kind) => ({
        label: KINDS[kind].many,
        title: KINDS[kind].many,
        options: (open ? plan.all(kind) : [plan.get(kind, value)])
            .filter((element) => element !== undefined)
            .filter((element) => !exclude.includes(element.id))
            .map((element) => ({ value: element.id, label: element.name })),
    }));
    const made = (open && name !== '' ? makes : [])
        .filter((kind) => !plan.all(kind).some((element) => plain(element.name) === plain(name)))
        .map((kind) => ({ value: NEW + kind, label: `Add ${KINDS[kind].one} “${name}”` }));

    return (
        <QuietSelect
            {...(id ? { id } : {})}
            label={label}
            open={open}
            onOpenChange={show}
            typed={typed}
            onTyped={setTyped}
            value={value}
            disabled={disabled}
            clearable={clearable}
            autoFocus={autoFocus}
            status={status}
            placeholder={placeholder ?? 'Choose'}
            options={[
                ...(extra.length > 0 ? [{ label: extraTitle, title: extraTitle, options: extra }] : []),
                ...(groups.length === 1 ? (groups[0]?.options ?? []) : groups),
                ...(made.length > 0 ? [{ label: 'New', title: 'New', options: made }] : []),
            ]}
            onChoose={choose}
            popupRender={(menu) => (
                <>
                    {menu}
                    {name === '' && makes.length > 0 && <p className="quiet pad">Type a name to add a new one.</p>}
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
    typed: string;
    onTyped: (typed: string) => void;
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
    function QuietSelect({ label, clearable, typed, onTyped, onChoose, ...props }: SelectProps) {
        return (
            <Select
                {...props}
                aria-label={label}
                className="picker"
                showSearch={{ filterOption: FOUND, searchValue: typed, onSearch: onTyped }}
                allowClear={clearable}
                popupMatchSelectWidth={280}
                onChange={onChoose}
            />
        );
    },
    (before, after) => !before.open && !after.open && shown(before) === shown(after),
);

function shown({ popupRender: _, onChoose: __, onOpenChange: ___, onTyped: ____, ...visible }: SelectProps): string {
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

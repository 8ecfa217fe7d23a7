import { Input } from 'antd';
import { memo, type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import type { Element, Kind, Of, Outlined } from '../api/types';
import { Duplicate } from '../copies/Duplicate';
import { useGo, useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { errorAt, useElement } from '../plan/useElement';
import { useBody, usePlan } from '../plan/usePlan';
import { ActButton } from './ActButton';
import { AddByName } from './AddByName';
import { FindingsOf } from './FindingsAt';
import { Gone } from './Gone';
import { LongList } from './LongList';
import { SavingNote } from './SavingNote';
import { isFound } from './searched';
import { TextField } from './TextField';
import { UsedBy } from './UsedBy';
import { useSteady } from './useSteady';
import { Why } from './Why';

export interface EditorProps<T extends Element> {
    value: T;
    change: (next: T) => void;
    error: (pointer: string) => string | undefined;
    disabled: boolean;
}

interface Props<K extends Kind> {
    kind: K;
    /** A few words beside the name in the list. */
    note: (element: Outlined<K>) => ReactNode;
    /** What comes first in the list; the order is that of the plan where it is the same. */
    rank?: (element: Outlined<K>) => number;
    /** More words that the search finds the element by. */
    searchable?: (element: Outlined<K>) => string;
    editor: (props: EditorProps<Of<K>>) => ReactNode;
    /** Instead of a name typed below the list. */
    adder?: ReactNode;
    /** Below the list and its adder. */
    foot?: ReactNode;
    empty: string;
}

/** All elements of a kind in a list, and the chosen one beside it, edited in place. */
export function ElementScreen<K extends Kind>({ kind, note, rank, searchable, editor, adder, foot, empty }: Props<K>) {
    const plan = usePlan();
    const { id } = useParams();
    const { moment, search } = useMoment();
    const { create } = useEdit();
    const go = useGo();
    const [wanted, setWanted] = useState('');
    const info = KINDS[kind];
    const elements = useMemo(() => {
        const all = plan?.all(kind) ?? [];
        return rank ? all.toSorted((a, b) => rank(a) - rank(b)) : all;
    }, [plan, kind, rank]);
    const shown = useMemo(() => {
        return wanted.trim() === ''
            ? elements
            : elements.filter((one) => isFound(`${one.name} ${searchable?.(one) ?? ''}`, wanted));
    }, [elements, wanted, searchable]);
    // The first of the list, until somebody works at it: then that one, wherever the list puts it.
    const [workedAt, setWorkedAt] = useState<string>();
    const chosen = id ? plan?.get(kind, id) : (workedAt && plan?.get(kind, workedAt)) || elements[0];
    const body = useBody(kind, chosen?.id);
    const disabled = moment.in !== 'draft';
    const { add } = useSteady({
        add: async (name: string) => {
            const made = plan ? await create(kind, name, plan) : null;
            if (made) go(`/${info.path}/${made}`, { isNew: true });
            return made !== null;
        },
    });
    if (!plan) return null;

    return (
        <div className="two">
            <section className="list" aria-label={info.many}>
                <h1>{info.many}</h1>
                {elements.length > 6 && (
                    <Input
                        allowClear
                        size="small"
                        aria-label={`Search ${info.many.toLowerCase()}`}
                        placeholder={`Search ${elements.length}`}
                        value={wanted}
                        onChange={(event) => setWanted(event.target.value)}
                    />
                )}
                <LongList
                    items={shown}
                    current={chosen?.id}
                    entry={(element) => (
                        <Link
                            to={{ pathname: `/${info.path}/${element.id}`, search }}
                            aria-current={element.id === chosen?.id ? 'page' : undefined}
                        >
                            <span className="name">{element.name}</span>
                            <span className="note">{note(element)}</span>
                        </Link>
                    )}
                />
                {shown.length === 0 && (
                    <p className="quiet">{elements.length === 0 ? empty : 'Nothing fits these words.'}</p>
                )}
                {!disabled &&
                    (adder ?? (
                        <div className="adder">
                            <AddByName label={`Name of ${info.aNew}`} button="Add" onAdd={add} />
                        </div>
                    ))}
                {foot}
            </section>
            {(chosen || id) && (
                <section
                    className="sheet"
                    aria-label={chosen?.name ?? 'Nothing chosen'}
                    onFocus={() => setWorkedAt(chosen?.id)}
                >
                    {body && <ChosenElement key={body.id} element={body} editor={editor} disabled={disabled} />}
                    {!body && chosen && <h2 className="quiet">{chosen.name}</h2>}
                    {!chosen && id && <Gone id={id} />}
                </section>
            )}
        </div>
    );
}

/** Kept as it is while the list is searched or scrolled. */
const ChosenElement = memo(Chosen) as typeof Chosen;

function Chosen<K extends Kind>({
    element,
    editor,
    disabled,
}: {
    element: Of<K>;
    editor: Props<K>['editor'];
    disabled: boolean;
}) {
    const editing = useElement<Of<K>>(element);
    const { remove } = useEdit();
    const go = useGo();
    const value = editing.value;
    const error = useCallback((pointer: string) => errorAt(editing.errors, pointer), [editing.errors]);
    const steady = useSteady({
        name: (name: string) => editing.change({ ...value, name }),
        why: (why: string) => editing.change({ ...value, why }),
        remove: async () => (await remove(element)) && go(`/${KINDS[element.kind].path}`),
    });
    const fields = useRef<HTMLDivElement>(null);
    const { isNew } = (useLocation().state ?? {}) as { isNew?: boolean };
    // What was just added is worked on next: the keyboard goes there.
    useEffect(() => {
        const active = document.activeElement;
        // Whoever is at work in it already is not led away, nor who types the next name.
        const isTyping = active instanceof HTMLInputElement && active.value.trim() !== '';
        if (!isNew || isTyping || fields.current?.contains(active)) return;
        const start = fields.current?.querySelector<HTMLElement>('[data-start]');
        (start ?? fields.current?.querySelector<HTMLElement>('input, textarea, button'))?.focus();
    }, [isNew]);
    return (
        <>
            <div className="sheet-head">
                <TextField
                    label="Name"
                    value={value.name}
                    disabled={disabled}
                    error={errorAt(editing.errors, '/name')}
                    onSave={steady.name}
                />
                {!disabled && (
                    <>
                        <SavingNote editor={editing as never} />
                        {!KINDS[element.kind].isUnique && (
                            <Duplicate id={element.id} kind={element.kind} name={value.name} />
                        )}
                        <ActButton danger act={steady.remove}>
                            Delete
                        </ActButton>
                    </>
                )}
            </div>
            <Why
                value={value.why ?? ''}
                disabled={disabled}
                error={errorAt(editing.errors, '/why')}
                onSave={steady.why}
            />
            <FindingsOf id={element.id}>
                <div ref={fields}>{editor({ value, change: editing.change, error, disabled })}</div>
            </FindingsOf>
            {/* Nothing mentions what is promised. */}
            {element.kind !== 'expectation' && <UsedBy key={element.id} id={element.id} kind={element.kind} />}
        </>
    );
}

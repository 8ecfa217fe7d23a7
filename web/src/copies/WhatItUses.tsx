import { Button, Input, Select } from 'antd';
import type { Copyable, Kind } from '../api/types';
import { KINDS } from '../plan/kinds';
import { ElementPicker } from '../ui/ElementPicker';
import { type Choice, type Choices, SAME } from './copies';
import css from './copies.module.css';

interface Props {
    used: Copyable[];
    choices: Choices;
    onChange: (some: Choices) => void;
    /** What a copy is called, where nobody says otherwise. */
    called: (name: string) => string;
}

/** What is spoken comes last: there is most of it, and it is copied least. */
const IN_ORDER = (Object.keys(KINDS) as Kind[]).sort(
    (one, other) => Number(one === 'prompt') - Number(other === 'prompt'),
);

/** What copies use: each the same, a copy as well, or another. */
export function WhatItUses({ used, choices, onChange, called }: Props) {
    const byKind = Map.groupBy(used, (one) => one.kind);
    const kinds = IN_ORDER.filter((kind) => byKind.has(kind));
    return (
        <>
            <p className="quiet">The copy uses the same, unless you say otherwise. All of it is one edit.</p>
            <div className={css.used}>
                {kinds.map((kind) => (
                    <section key={kind} aria-label={KINDS[kind].many}>
                        <h3 className={css.kind}>
                            {KINDS[kind].many}
                            <AllOf kind={kind} some={byKind.get(kind) ?? []} choices={choices} onChange={onChange} />
                        </h3>
                        {byKind.get(kind)?.map((one) => (
                            <UsedRow
                                key={one.id}
                                one={one}
                                choice={choices[one.id] ?? SAME}
                                onChange={(choice) => onChange({ [one.id]: choice })}
                                called={called(one.name)}
                            />
                        ))}
                    </section>
                ))}
            </div>
        </>
    );
}

function AllOf({
    kind,
    some,
    choices,
    onChange,
}: {
    kind: Kind;
    some: Copyable[];
    choices: Choices;
    onChange: (some: Choices) => void;
}) {
    if (some.length < 2) return null;
    const isAll = some.every((one) => choices[one.id]?.is === 'copy');
    const choice: Choice = isAll ? SAME : { is: 'copy' };
    return (
        <Button
            size="small"
            aria-label={`${isAll ? 'The same' : 'Copies of all'} ${KINDS[kind].many}`}
            onClick={() => onChange(Object.fromEntries(some.map((one) => [one.id, choice])))}
        >
            {isAll ? 'All the same' : 'Copy all'}
        </Button>
    );
}

function UsedRow({
    one,
    choice,
    onChange,
    called,
}: {
    one: Copyable;
    choice: Choice;
    onChange: (choice: Choice) => void;
    called: string;
}) {
    const is = (next: Choice['is']): Choice =>
        next === 'other' ? { is: next, id: null } : next === 'copy' ? { is: next } : SAME;
    return (
        <div className={css.row}>
            <span>
                {one.name}
                {choice.is === 'copy' && one.without.length > 0 && (
                    <span className="quiet"> without {one.without.join(', ')}</span>
                )}
            </span>
            <Select
                size="small"
                aria-label={`In the copy, ${one.name}`}
                value={choice.is}
                options={[
                    { value: 'same', label: 'the same' },
                    { value: 'copy', label: 'a copy' },
                    ...(one.kinds.length > 0 ? [{ value: 'other' as const, label: 'another' }] : []),
                ]}
                onChange={(next: Choice['is']) => onChange(is(next))}
            />
            {choice.is === 'copy' && (
                <Input
                    size="small"
                    aria-label={`Name of the copy of ${one.name}`}
                    value={choice.name ?? called}
                    onChange={(event) => onChange({ is: 'copy', name: event.target.value })}
                />
            )}
            {choice.is === 'other' && (
                <ElementPicker
                    kinds={one.kinds}
                    value={choice.id}
                    onChange={(id) => onChange({ is: 'other', id })}
                    label={`Instead of ${one.name}`}
                    placeholder="Which?"
                    exclude={[one.id]}
                />
            )}
        </div>
    );
}

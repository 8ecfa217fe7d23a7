import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, type InputRef, Modal } from 'antd';
import { useRef, useState } from 'react';
import { api, ask, newKey, RefusedError } from '../api/client';
import type { Kind } from '../api/types';
import { useGo } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { errorAt } from '../plan/useElement';
import { patchDraft } from '../plan/usePlan';
import { allWritten } from '../plan/writes';
import { Field } from '../ui/Field';
import { type Choices, nameLike, usedByCopies } from './copies';
import { WhatItUses } from './WhatItUses';

interface Props {
    id: string;
    kind: Kind;
    name: string;
}

/** Copies an element, and of what it uses as much as is wanted. */
export function Duplicate(props: Props) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button size="small" onClick={() => setOpen(true)}>
                Duplicate
            </Button>
            {open && <DuplicateDialog {...props} onClose={() => setOpen(false)} />}
        </>
    );
}

function DuplicateDialog({ id, kind, name: of, onClose }: Props & { onClose: () => void }) {
    const queries = useQueryClient();
    const go = useGo();
    const [name, setName] = useState(`${of}, copy`);
    const [choices, setChoices] = useState<Choices>({});
    const [key] = useState(newKey);
    const field = useRef<InputRef>(null);
    const params = { path: { id } };
    const { data } = useQuery({
        queryKey: ['copy', id],
        queryFn: async () => {
            await allWritten(queries);
            return (await ask(api.GET('/api/plans/draft/elements/{id}/copy', { params }))).elements;
        },
        gcTime: 0,
    });
    const used = usedByCopies(data ?? [], choices);
    const copy = useMutation({
        mutationFn: () => {
            const along = used.flatMap((one) => {
                const choice = choices[one.id];
                return choice?.is === 'copy' ? [{ id: one.id, name: choice.name ?? nameLike(of, name, one.name) }] : [];
            });
            const instead = used.flatMap((one) => {
                const choice = choices[one.id];
                return choice?.is === 'other' && choice.id !== null ? [{ id: one.id, put: choice.id }] : [];
            });
            return ask(
                api.POST('/api/plans/draft/elements/{id}/copy', {
                    params,
                    headers: { 'Idempotency-Key': key },
                    body: { name, along, instead },
                }),
            );
        },
        meta: { silent: true },
        onSuccess: (saved) => {
            patchDraft(queries, saved);
            onClose();
            go(`/${KINDS[kind].path}/${saved.id}`, { isNew: true });
        },
    });
    const errors = copy.error instanceof RefusedError ? (copy.error.problem.errors ?? []) : [];
    const atName = errorAt(errors, '/name');
    const without = data?.[0]?.without ?? [];
    return (
        <Modal
            open
            title={`Duplicate ${of}`}
            okText="Duplicate"
            confirmLoading={copy.isPending}
            onOk={() => copy.mutate()}
            onCancel={onClose}
            afterOpenChange={(shown) => shown && field.current?.focus({ cursor: 'all' })}
            width={640}
        >
            <Field
                label="Name of the copy"
                error={atName}
                hint={without.length > 0 && `${without.join(', ')} can be dialled once: the copy goes without.`}
            >
                {(a11y) => (
                    <Input
                        {...a11y}
                        ref={field}
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                        onPressEnter={() => copy.mutate()}
                    />
                )}
            </Field>
            {used.length > 0 && (
                <WhatItUses
                    used={used}
                    choices={choices}
                    onChange={(some) => setChoices((now) => ({ ...now, ...some }))}
                    called={(other) => nameLike(of, name, other)}
                />
            )}
            {copy.isError && !atName && (
                <div role="alert" className="alarm">
                    {errors.length === 0 &&
                        (copy.error instanceof RefusedError ? copy.error.problem.detail : String(copy.error))}
                    {errors.map((one) => (
                        <p key={one.pointer + one.detail}>
                            {one.detail} {one.remedy}
                        </p>
                    ))}
                </div>
            )}
        </Modal>
    );
}

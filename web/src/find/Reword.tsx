import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Checkbox, Input, type InputRef, Modal } from 'antd';
import { useRef, useState } from 'react';
import { api, ask, newKey, RefusedError } from '../api/client';
import type { Reworded } from '../api/types';
import { KINDS } from '../plan/kinds';
import { errorAt } from '../plan/useElement';
import { patchDraft, usePlan } from '../plan/usePlan';
import { allWritten } from '../plan/writes';
import { Field } from '../ui/Field';
import { TextDifference } from '../ui/TextDifference';
import { useCalm } from '../ui/useCalm';
import styles from './find.module.css';

const CALM = 200;

/** Puts other words in the place of some, in all of the draft or where it is wanted. */
export function Reword({ found, onClose }: { found: string; onClose: () => void }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const [words, setWords] = useState(found);
    const [put, setPut] = useState('');
    /** Elements in which the words stay. */
    const [leaving, setLeaving] = useState<string[]>([]);
    const field = useRef<InputRef>(null);
    const stamp = usePlan()?.stamp;
    const [calmWords, calmPut] = [useCalm(words.trim(), CALM), useCalm(put.trim(), CALM)];
    const look = useQuery({
        queryKey: ['rewording', calmWords, calmPut, stamp],
        queryFn: async () => {
            await allWritten(queries);
            return (
                await ask(api.POST('/api/plans/draft/rewording/look', { body: { words: calmWords, put: calmPut } }))
            ).elements;
        },
        enabled: calmWords !== '',
        retry: false,
        gcTime: 0,
        placeholderData: keepPreviousData,
    });
    const elements = calmWords === '' || look.isError ? [] : (look.data ?? []);
    const meant = elements.map((one) => one.id).filter((id) => !leaving.includes(id));
    const many = meant.length;
    const isShown = calmWords === words.trim() && calmPut === put.trim() && !look.isPlaceholderData;
    const reword = useMutation({
        mutationFn: () =>
            ask(
                api.POST('/api/plans/draft/rewording', {
                    // What was not seen is not meant.
                    body: { words: words.trim(), put: put.trim(), in: meant },
                    headers: { 'Idempotency-Key': newKey() },
                }),
            ),
        meta: { silent: true },
        onSuccess: (change) => {
            patchDraft(queries, change);
            message.success(`${change.label}: done in ${change.changed}. Undo takes it back.`);
            onClose();
        },
    });
    const isReady = many > 0 && isShown && words.trim() !== put.trim();
    const refused = reword.error ?? look.error;
    const problem = refused instanceof RefusedError ? refused.problem : undefined;
    const errors = problem?.errors ?? [];
    return (
        <Modal
            open
            title="Other words in their place"
            okText={many === elements.length ? `Put them in all ${many}` : `Put them in ${many} of ${elements.length}`}
            okButtonProps={{ disabled: !isReady }}
            confirmLoading={reword.isPending}
            onOk={() => reword.mutate()}
            onCancel={onClose}
            afterOpenChange={(shown) => shown && field.current?.focus()}
            width={720}
        >
            <div className={styles.words}>
                <Field label="Words" error={errorAt(errors, '/words')} hint="Whole words; capitals do not count">
                    {(a11y) => (
                        <Input
                            {...a11y}
                            value={words}
                            maxLength={100}
                            onChange={({ target }) => setWords(target.value)}
                        />
                    )}
                </Field>
                <Field
                    label="In their place"
                    error={errorAt(errors, '/put')}
                    hint={put.trim() === '' ? 'Empty takes them away' : 'Capitals follow those of the words'}
                >
                    {(a11y) => (
                        <Input
                            {...a11y}
                            ref={field}
                            value={put}
                            maxLength={100}
                            onChange={({ target }) => setPut(target.value)}
                            onPressEnter={() => isReady && !reword.isPending && reword.mutate()}
                        />
                    )}
                </Field>
            </div>
            <ul className={styles.reworded} aria-label="Where they stand">
                {elements.map((one) => (
                    <RewordedRow
                        key={one.id}
                        one={one}
                        isLeft={leaving.includes(one.id)}
                        onLeave={(isLeft) =>
                            setLeaving((now) => (isLeft ? [...now, one.id] : now.filter((id) => id !== one.id)))
                        }
                    />
                ))}
            </ul>
            <p role="status" className="quiet">
                {elements.length === 0 && look.isSuccess && 'They stand nowhere by themselves.'}
            </p>
            {reword.isError && (
                <div role="alert" className="alarm">
                    {errors.length === 0 && (problem?.detail ?? String(refused))}
                    {errors.map((error) => (
                        <p key={error.pointer + error.detail}>
                            {elements.find((one) => error.pointer.startsWith(`/${one.id}/`))?.name} {error.detail}{' '}
                            {error.remedy}
                        </p>
                    ))}
                </div>
            )}
        </Modal>
    );
}

function RewordedRow({ one, isLeft, onLeave }: { one: Reworded; isLeft: boolean; onLeave: (isLeft: boolean) => void }) {
    return (
        <li>
            <Checkbox checked={!isLeft} onChange={({ target }) => onLeave(!target.checked)}>
                {one.name} <span className="quiet">{KINDS[one.kind].one}</span>
            </Checkbox>
            {one.places.map((place) => (
                <p key={place.pointer} className="difference">
                    <TextDifference before={place.before} now={place.after} isShort />
                </p>
            ))}
        </li>
    );
}

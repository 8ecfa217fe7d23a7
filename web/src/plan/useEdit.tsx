import { useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useCallback, useMemo } from 'react';
import { api, ask, newKey, RefusedError } from '../api/client';
import type { Change, Element, Kind } from '../api/types';
import { askAhead, askEarly } from '../moment/useAnswer';
import { newElement } from './kinds';
import { draftOf, dropFetches, type PlanIndex, patchDraft } from './usePlan';

/** Writes of one element wait for each other, so that each names the revision that the one before made. */
const waiting = new Map<string, Promise<unknown>>();

function inTurn<T>(id: string, work: () => Promise<T>): Promise<T> {
    const before = waiting.get(id);
    // The first goes out at once, before the screens are drawn anew.
    const turn = before ? before.catch(() => undefined).then(work) : work();
    const done = () => waiting.get(id) === turn && waiting.delete(id);
    turn.then(done, done);
    waiting.set(id, turn);
    return turn;
}

/** How a change is sent: the same key and revision say that it is the same request once more. */
export interface Attempt {
    key: string;
    tag?: string;
}

export const newAttempt = (): Attempt => ({ key: newKey() });

/** Everything that changes the draft. */
export function useEdit() {
    const queries = useQueryClient();
    const { message, modal, notification } = App.useApp();

    const tag = useCallback((id: string) => `"${draftOf(queries)?.revisions[id] ?? 0}"`, [queries]);

    const save = useCallback(
        (element: Element, attempt: Attempt = newAttempt()): Promise<Change> =>
            inTurn(element.id, async () => {
                dropFetches(queries);
                attempt.tag ??= tag(element.id);
                const early = askEarly(queries, element);
                const change = await ask(
                    api.PUT('/api/plans/draft/elements/{id}', {
                        params: { path: { id: element.id }, header: { 'If-Match': attempt.tag } },
                        headers: { 'Idempotency-Key': attempt.key },
                        body: element,
                    }),
                );
                patchDraft(queries, change);
                // Where other elements changed with it, the answer is asked for anew.
                askAhead(queries, change.changed === 1 ? early : undefined);
                return change;
            }),
        [queries, tag],
    );

    const complain = useCallback(
        (error: unknown) => {
            const text = error instanceof RefusedError ? error.problem.detail : String(error);
            notification.error({
                message: error instanceof RefusedError ? error.problem.title : 'Something went wrong',
                description: text,
                placement: 'bottomRight',
            });
        },
        [notification],
    );

    const add = useCallback(
        async (element: Omit<Element, 'id'>): Promise<string | null> => {
            try {
                const saved = await ask(
                    api.POST('/api/plans/draft/elements', { body: element as { kind: string; name: string } }),
                );
                patchDraft(queries, saved);
                return saved.id;
            } catch (error) {
                complain(error);
                return null;
            }
        },
        [queries, complain],
    );

    const create = useCallback(
        async (kind: Kind, name: string, plan: PlanIndex): Promise<string | null> => {
            const element = newElement(kind, name, plan);
            if (!element)
                message.warning(
                    kind === 'number'
                        ? 'Add numbers on their own screen.'
                        : 'Add a site first: it gives the time zone and the country.',
                );
            return element ? add(element) : null;
        },
        [add, message],
    );

    const remove = useCallback(
        async (element: Pick<Element, 'id' | 'name'>): Promise<boolean> => {
            try {
                patchDraft(
                    queries,
                    await ask(
                        api.DELETE('/api/plans/draft/elements/{id}', {
                            params: { path: { id: element.id }, header: { 'If-Match': tag(element.id) } },
                        }),
                    ),
                );
                message.success(`${element.name} is deleted. Undo brings it back.`);
                return true;
            } catch (error) {
                const places = error instanceof RefusedError ? error.problem.places : undefined;
                if (places) {
                    modal.warning({
                        title: `${element.name} is in use`,
                        content: (
                            <>
                                <p>It was not deleted. Change these places first:</p>
                                <ul>
                                    {places.map((place) => (
                                        <li key={place.id + place.pointer}>
                                            <b>{place.name}</b> {place.role}
                                        </li>
                                    ))}
                                </ul>
                            </>
                        ),
                    });
                } else complain(error);
                return false;
            }
        },
        [queries, tag, message, modal, complain],
    );

    const step = useCallback(
        async (direction: 'undo' | 'redo') => {
            // What is still being saved is the edit that is meant.
            await Promise.allSettled(waiting.values());
            const edit = draftOf(queries)?.[direction]?.edit;
            if (edit === undefined) return;
            try {
                const change = await ask(
                    direction === 'undo'
                        ? api.POST('/api/plans/draft/undo', { body: { edit } })
                        : api.POST('/api/plans/draft/redo', { body: { edit } }),
                );
                patchDraft(queries, change);
                message.info(direction === 'undo' ? `Taken back: ${change.label}` : `Done again: ${change.label}`);
            } catch (error) {
                complain(error);
                // What is next is another edit by now: it is shown before anybody presses again.
                if (error instanceof RefusedError && error.problem.status === 412)
                    queries.invalidateQueries({ queryKey: ['plan', 'draft'] });
            }
        },
        [queries, message, complain],
    );

    return useMemo(
        () => ({ save, add, create, remove, undo: () => step('undo'), redo: () => step('redo'), complain }),
        [save, add, create, remove, step, complain],
    );
}

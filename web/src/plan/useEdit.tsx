import { useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useCallback, useMemo } from 'react';
import { api, ask, newKey, RefusedError } from '../api/client';
import type { Change, Element, Kind, Problem } from '../api/types';
import { askAhead, type ShownCall, shownCall, takeAnswer } from '../moment/useAnswer';
import { newElement } from './kinds';
import type { PlanIndex } from './seenPlan';
import { draftOf, dropFetches, patchDraft } from './usePlan';
import { allWritten, useWrite, write } from './writes';

/** How a change is sent: the same key, revision and call to try say that it is the same request once more. */
export interface Attempt {
    key: string;
    tag?: string;
    shown?: ShownCall | undefined;
}

export const newAttempt = (): Attempt => ({ key: newKey() });

/** Everything that changes the draft. */
export function useEdit() {
    const queries = useQueryClient();
    const { message, modal } = App.useApp();
    const told = useWrite();

    const tag = useCallback((id: string) => `"${draftOf(queries)?.elements.revision(id) ?? 0}"`, [queries]);

    const save = useCallback(
        (element: Element, attempt: Attempt = newAttempt()): Promise<Change> =>
            write(
                queries,
                async () => {
                    dropFetches(queries);
                    if (!attempt.tag) {
                        attempt.tag = tag(element.id);
                        attempt.shown = shownCall(queries);
                    }
                    const { shown } = attempt;
                    const how = {
                        params: { path: { id: element.id }, header: { 'If-Match': attempt.tag } },
                        headers: { 'Idempotency-Key': attempt.key },
                    };
                    if (!shown) {
                        const change = await ask(api.PUT('/api/plans/draft/elements/{id}', { ...how, body: element }));
                        patchDraft(queries, change, element);
                        return change;
                    }
                    // One request for the edit and its answer.
                    const body = { element, call: shown.call };
                    const change = await ask(api.PUT('/api/plans/draft/elements/{id}/tried', { ...how, body }));
                    takeAnswer(queries, shown, change);
                    patchDraft(queries, change, element);
                    askAhead(queries);
                    return change;
                },
                { scope: element.id, silent: true },
            ),
        [queries, tag],
    );

    const add = useCallback(
        async (element: Omit<Element, 'id'>): Promise<string | null> => {
            const body = element as { kind: string; name: string };
            const saved = await told(() => ask(api.POST('/api/plans/draft/elements', { body })));
            if (saved) patchDraft(queries, saved);
            return saved?.id ?? null;
        },
        [queries, told],
    );

    const create = useCallback(
        async (kind: Kind, name: string, plan: PlanIndex): Promise<string | null> => {
            const element = newElement(kind, name, plan);
            if (!element) message.warning('Add a site first: it gives the time zone and the country.');
            return element ? add(element) : null;
        },
        [add, message],
    );

    const showUses = useCallback(
        (name: string, places: NonNullable<Problem['places']>) =>
            modal.warning({
                title: `${name} is in use`,
                content: (
                    <>
                        <p>
                            It was not deleted. Put something else in its place, further down on its sheet, or change
                            these places first:
                        </p>
                        <ul>
                            {places.map((place) => (
                                <li key={place.id + place.pointer}>
                                    <b>{place.name}</b> {place.role}
                                </li>
                            ))}
                        </ul>
                    </>
                ),
            }),
        [modal],
    );

    const remove = useCallback(
        async (element: Pick<Element, 'id' | 'name'>): Promise<boolean> => {
            const change = await told(
                async () => {
                    const header = { 'If-Match': tag(element.id) };
                    const params = { path: { id: element.id }, header };
                    try {
                        return await ask(api.DELETE('/api/plans/draft/elements/{id}', { params }));
                    } catch (error) {
                        const places = error instanceof RefusedError ? error.problem.places : undefined;
                        if (!places) throw error;
                        showUses(element.name, places);
                        return null;
                    }
                },
                { scope: element.id },
            );
            if (!change) return false;
            patchDraft(queries, change);
            message.success(`${element.name} is deleted. Undo brings it back.`);
            return true;
        },
        [queries, tag, message, told, showUses],
    );

    const step = useCallback(
        async (direction: 'undo' | 'redo') => {
            // What is still being saved is the edit that is meant.
            await allWritten(queries);
            const edit = draftOf(queries)?.[direction]?.edit;
            if (edit === undefined) return;
            const change = await told(() =>
                ask(
                    direction === 'undo'
                        ? api.POST('/api/plans/draft/undo', { body: { edit } })
                        : api.POST('/api/plans/draft/redo', { body: { edit } }),
                ),
            );
            if (change) {
                patchDraft(queries, change);
                message.info(direction === 'undo' ? `Taken back: ${change.label}` : `Done again: ${change.label}`);
                // What is next may be another edit by now: it is shown before anybody presses again.
            } else queries.invalidateQueries({ queryKey: ['plan', 'draft'] });
        },
        [queries, message, told],
    );

    return useMemo(
        () => ({ save, add, create, remove, undo: () => step('undo'), redo: () => step('redo') }),
        [save, add, create, remove, step],
    );
}

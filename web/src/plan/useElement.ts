import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { RefusedError } from '../api/client';
import type { Element, FieldError } from '../api/types';
import { type Attempt, newAttempt, useEdit } from './useEdit';
import { draftOf } from './usePlan';
import { useServer } from './useServer';

type Saving = 'saved' | 'saving' | 'refused' | 'stale' | 'offline';

export interface ElementEditor<T extends Element> {
    value: T;
    saving: Saving;
    /** Why the last change was refused, by the field's JSON Pointer. */
    errors: FieldError[];
    change: (next: T) => void;
    /** Whether it is saved by itself when the server is back. */
    goesOn: boolean;
    /** Saves again what was refused or could not be sent. */
    retry: () => void;
    /** Drops what is not saved. */
    discard: () => void;
}

const NONE: FieldError[] = [];
/** Somebody else's change may have come in its place: it is not waited for longer than that. */
const MOST_LOOKS = 100;

/** An element being edited in place: every change is saved at once; what is refused stays on screen with its reason. */
export function useElement<T extends Element>(stored: T): ElementEditor<T> {
    const { save } = useEdit();
    const queries = useQueryClient();
    const [unsaved, setUnsaved] = useState<T | null>(null);
    const [saving, setSaving] = useState<Saving>('saved');
    const [errors, setErrors] = useState<FieldError[]>(NONE);
    const latest = useRef<T | null>(null);
    /** A change that could not be sent, and when: it goes out again, as the same request, when the server is back. */
    const [lost, setLost] = useState<{ next: T; attempt: Attempt; at: number } | null>(null);
    const { seenAt, lookAgain } = useServer();

    const reset = useCallback(() => {
        latest.current = null;
        setUnsaved(null);
        setSaving('saved');
        setErrors(NONE);
        setLost(null);
    }, []);

    const shown = useRef(stored);
    useLayoutEffect(() => {
        shown.current = stored;
    });

    // What was saved comes back through the plan a moment later: until then it is shown from here, or the screen
    // would flash back to what was before and lose what is being typed.
    const settle = useCallback(
        (saved: T) => {
            const written = draftOf(queries)?.elements.find(saved.id);
            const look = (times: number) =>
                setTimeout(() => {
                    if (latest.current !== saved) return;
                    if (shown.current !== written && times < MOST_LOOKS) {
                        look(times + 1);
                        return;
                    }
                    latest.current = null;
                    setUnsaved(null);
                    setSaving('saved');
                    setErrors(NONE);
                });
            look(0);
        },
        [queries],
    );

    // biome-ignore lint/correctness/useExhaustiveDependencies: another element starts afresh
    useEffect(reset, [stored.id]);

    const change = useCallback(
        async (next: T, attempt: Attempt = newAttempt()) => {
            latest.current = next;
            const sent = save(next, attempt);
            setUnsaved(next);
            setSaving('saving');
            setLost(null);
            try {
                await sent;
                settle(next);
            } catch (error) {
                if (latest.current !== next) return;
                const problem = error instanceof RefusedError ? error.problem : undefined;
                setErrors(problem?.errors ?? [{ pointer: '', detail: problem?.detail ?? String(error), remedy: '' }]);
                setSaving(problem?.status === 412 ? 'stale' : problem?.status === 422 ? 'refused' : 'offline');
                if (error instanceof RefusedError && error.isOffline) {
                    setLost({ next, attempt, at: Date.now() });
                    lookAgain();
                }
            }
        },
        [save, settle, lookAgain],
    );

    useEffect(() => {
        if (lost && seenAt > lost.at && latest.current === lost.next) change(lost.next, lost.attempt);
    }, [lost, seenAt, change]);

    const retry = useCallback(async () => {
        const next = latest.current;
        if (!next) return;
        await queries.refetchQueries({ queryKey: ['plan', 'draft'] });
        change(next);
    }, [queries, change]);

    const discard = useCallback(() => {
        reset();
        queries.refetchQueries({ queryKey: ['plan', 'draft'] });
    }, [queries, reset]);

    const changeTo = useCallback((next: T) => void change(next), [change]);

    return { value: unsaved ?? stored, saving, errors, goesOn: lost !== null, change: changeTo, retry, discard };
}

/** The reason at a field, or at anything inside it. */
export function errorAt(errors: FieldError[], pointer: string): string | undefined {
    const error = errors.find((one) => one.pointer === pointer || one.pointer.startsWith(`${pointer}/`));
    return error ? `${error.detail} ${error.remedy}`.trim() : undefined;
}

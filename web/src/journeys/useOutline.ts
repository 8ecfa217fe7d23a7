import { App } from 'antd';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import type { Exit, Journey, Step } from '../api/types';
import type { EditorProps } from '../ui/ElementScreen';
import { useSteady } from '../ui/useSteady';
import { copiedSteps, copySteps } from './clipboard';
import { outlineAct } from './outlineKeys';
import {
    changeExits,
    insertAllAt,
    insertAt,
    move,
    newStep,
    type Place,
    type Row,
    removeAt,
    replaceAt,
    rowsOf,
    unfolded,
    withFreshIds,
} from './outlineModel';

/** What is chosen, folded and edited in an outline, and what can be done with its rows. */
export function useOutline({ value, change, disabled }: EditorProps<Journey>) {
    const { message } = App.useApp();
    const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
    const rows = useMemo(() => unfolded(rowsOf(value.steps), folded), [value.steps, folded]);
    const [current, setCurrent] = useState<string>();
    const [editing, setEditing] = useState<string>();
    const [inserting, setInserting] = useState<{ after: string; place: Place }>();
    const grid = useRef<HTMLDivElement>(null);
    const refocus = useRef<string | undefined>(undefined);
    const currentKey = rows.some((row) => row.key === current) ? current : rows[0]?.key;
    const focusRow = (key: string | undefined) => {
        if (!key) return;
        setCurrent(key);
        grid.current?.querySelector<HTMLElement>(`[data-row="${CSS.escape(key)}"]`)?.focus();
    };
    // A changed outline keeps the keyboard where the changed row went.
    // biome-ignore lint/correctness/useExhaustiveDependencies: runs after each change of the rows
    useEffect(() => {
        // Rows may change for another reason first: the wanted row is waited for.
        if (!rows.some((row) => row.key === refocus.current)) return;
        focusRow(refocus.current);
        refocus.current = undefined;
    }, [rows]);

    // A link to a step brings the keyboard to it.
    const { hash } = useLocation();
    // biome-ignore lint/correctness/useExhaustiveDependencies: only when the link is followed
    useEffect(() => focusRow(rows.find((row) => row.key === hash.slice(1))?.key), [hash]);

    const put = (steps: Step[], focus?: string) => {
        refocus.current = focus;
        change({ ...value, steps });
    };
    const putMoved = (row: Row, way: Parameters<typeof move>[2]) => {
        if (row.is === 'step') put(move(value.steps, row.place, way), row.key);
    };
    const neighbour = (key: string, by: number) => rows[rows.findIndex((row) => row.key === key) + by]?.key;
    const insert = (kind: Step['do']) => {
        if (!inserting) return;
        const step = newStep(kind, value.steps);
        setInserting(undefined);
        setCurrent(step.id);
        if (kind !== 'end') setEditing(step.id);
        put(insertAt(value.steps, inserting.place, step), kind === 'end' ? step.id : undefined);
    };
    const insertTyped = (step: Step) => {
        if (!inserting) return;
        const steps = withFreshIds([step], value.steps);
        setInserting(undefined);
        put(insertAllAt(value.steps, inserting.place, steps), steps[0]?.id);
    };
    const remove = (row: Row) => {
        const next =
            rows.find((other, i) => i > rows.indexOf(row) && other.depth <= row.depth)?.key ?? neighbour(row.key, -1);
        setEditing(undefined);
        if (row.is === 'step') put(removeAt(value.steps, row.place), next);
        else
            put(
                changeExits(value.steps, row.place, (exits) => exits.filter((_, j) => j !== row.exitIndex)),
                next,
            );
    };
    const startInsert = (row: Row) => setInserting({ after: row.key, place: placeBelow(row) });
    const fold = (key: string) =>
        setFolded((before) => {
            const next = new Set(before);
            if (!next.delete(key)) next.add(key);
            return next;
        });
    const copy = (row: Row) => {
        const steps = row.is === 'step' ? [row.step] : row.exit.steps;
        copySteps(steps);
        message.info(steps.length === 1 ? 'Copied: paste it below any row' : `${steps.length} steps are copied`);
    };
    const paste = (row: Row) => {
        const steps = withFreshIds(copiedSteps(), value.steps);
        if (steps.length === 0) message.warning('Nothing was copied yet.');
        else put(insertAllAt(value.steps, placeBelow(row), steps), steps[0]?.id);
    };
    const closeInserter = () => {
        const after = inserting?.after;
        setInserting(undefined);
        focusRow(after);
    };

    const onKey = (event: KeyboardEvent, row: Row) => {
        if (event.target !== event.currentTarget) {
            if (event.key === 'Escape' && editing === row.key) {
                setEditing(undefined);
                refocus.current = undefined;
                setTimeout(() => focusRow(row.key));
            }
            return;
        }
        const wanted = outlineAct(rows, row, event, disabled, folded);
        if (!wanted) return;
        event.preventDefault();
        event.stopPropagation();
        if (wanted.act === 'focus') focusRow(wanted.row);
        else if (wanted.act === 'move') putMoved(row, wanted.way);
        else if (wanted.act === 'edit') setEditing(row.key);
        else if (wanted.act === 'listen') event.currentTarget.querySelector<HTMLElement>('.play')?.click();
        else if (wanted.act === 'insert') startInsert(row);
        else if (wanted.act === 'remove') remove(row);
        else if (wanted.act === 'fold' || wanted.act === 'unfold') fold(row.key);
        else if (wanted.act === 'paste') paste(row);
        else if (wanted.act === 'copy' || wanted.act === 'cut') {
            copy(row);
            if (wanted.act === 'cut') remove(row);
        }
    };

    /** What is done with a row, told by its key; nothing where it has gone meanwhile. */
    const on =
        <T extends unknown[]>(act: (row: Row, ...given: T) => void) =>
        (key: string, ...given: T) => {
            const row = rows.find((one) => one.key === key);
            if (row) act(row, ...given);
        };
    const acts = useSteady({
        choose: setCurrent,
        edit: setEditing,
        stopEditing: (key: string) => {
            setEditing(undefined);
            setTimeout(() => focusRow(key));
        },
        fold,
        insertBelow: on(startInsert),
        copy: on(copy),
        pasteBelow: on(paste),
        remove: on(remove),
        move: on(putMoved),
        changeStep: on((row, step: Step) => put(replaceAt(value.steps, row.place, step))),
        changeExits: on((row, change: (exits: Exit[]) => Exit[]) => put(changeExits(value.steps, row.place, change))),
        insertAtEnd: () =>
            setInserting({ after: rows.at(-1)?.key ?? '', place: { list: [], index: value.steps.length } }),
        onKey: (key: string, event: KeyboardEvent) => on((row) => onKey(event, row))(key),
    });

    return {
        rows,
        grid,
        currentKey,
        folded,
        editing,
        inserting,
        acts,
        insert,
        insertTyped,
        closeInserter,
    };
}

export type RowActs = ReturnType<typeof useOutline>['acts'];

/** Where something goes that is put below a row: after a step, or first of an exit. */
function placeBelow(row: Row): Place {
    return row.is === 'step'
        ? { list: row.place.list, index: row.place.index + 1 }
        : { list: [...row.place.list, { step: row.place.index, exit: row.exitIndex }], index: 0 };
}

import { App, Button } from 'antd';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Journey, Step, Trace } from '../api/types';
import { CourseLine } from '../call/CourseLine';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { useAllFindings } from '../ui/useFindings';
import { copiedSteps, copySteps } from './clipboard';
import { Inserter } from './Inserter';
import { OutlineRow } from './OutlineRow';
import { outlineAct } from './outlineKeys';
import {
    changeExits,
    foundAt,
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
import { TypedStep } from './TypedStep';

/** A journey as an outline, edited in place, with the way that the trial call takes through it. */
export function Outline({
    value,
    change,
    error,
    disabled,
    trace,
}: EditorProps<Journey> & { trace: Trace | undefined }) {
    const plan = usePlan();
    const { change: chooseCall, search } = useMoment();
    const findings = useAllFindings(value.id);
    const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
    const rows = useMemo(() => unfolded(rowsOf(value.steps), folded), [value.steps, folded]);
    const { message } = App.useApp();
    const [current, setCurrent] = useState<string>();
    const [editing, setEditing] = useState<string>();
    const [inserting, setInserting] = useState<{ after: string; place: Place }>();
    const grid = useRef<HTMLDivElement>(null);
    const refocus = useRef<string | undefined>(undefined);
    const visits = (trace?.visits ?? []).filter((visit) => visit.journey === value.id);
    const currentKey = rows.some((row) => row.key === current) ? current : rows[0]?.key;
    const marks = visits.flatMap((visit) => [
        visit.step,
        ...(visit.exit && visit.exitTaken ? [`${visit.step}:${visit.exit}`] : []),
    ]);

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

    const typedLine = (begun: string) => <TypedStep begun={begun} onStep={insertTyped} onCancel={closeInserter} />;

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
        else if (wanted.act === 'move' && row.is === 'step') put(move(value.steps, row.place, wanted.way), row.key);
        else if (wanted.act === 'edit') setEditing(row.key);
        else if (wanted.act === 'insert') startInsert(row);
        else if (wanted.act === 'remove') remove(row);
        else if (wanted.act === 'fold' || wanted.act === 'unfold') fold(row.key);
        else if (wanted.act === 'paste') paste(row);
        else if (wanted.act === 'copy' || wanted.act === 'cut') {
            copy(row);
            if (wanted.act === 'cut') remove(row);
        }
    };

    if (!plan) return null;
    return (
        <>
            <p>
                <Link to={{ pathname: `/map/${value.id}`, search }}>As a map</Link>
            </p>
            <p className="keys quiet">
                {disabled
                    ? 'Arrow keys move.'
                    : 'Arrow keys move · Enter edits · + inserts below · Alt with arrows moves a step · ← folds · Ctrl+C, X, V · Delete removes · Ctrl+Z takes back'}
            </p>
            {trace && visits.length === 0 && (
                <p className="notice">
                    This call does not come through this journey.{' '}
                    <Button size="small" onClick={() => chooseCall({ to: value.id, zone: '' })}>
                        Try a call straight to it
                    </Button>
                </p>
            )}
            <div className="outline-box" ref={grid}>
                <div role="treegrid" aria-label={`Steps of ${value.name}`} className="outline">
                    {rows.map((row) => {
                        const visit =
                            row.is === 'step'
                                ? visits.findLast((one) => one.step === row.step.id)
                                : visits.findLast((one) => one.step === row.of.id && one.exit === row.exit.on);
                        return (
                            <div key={row.key} role="presentation">
                                <OutlineRow
                                    row={row}
                                    visit={visit}
                                    event={
                                        row.is === 'step'
                                            ? trace?.events
                                                  .slice(0, -1)
                                                  .findLast(
                                                      (one) => one.journey === value.id && one.step === row.step.id,
                                                  )
                                            : undefined
                                    }
                                    rows={rows}
                                    tabbable={row.key === currentKey}
                                    editing={editing === row.key && !disabled}
                                    disabled={disabled}
                                    error={row.is === 'step' ? error(row.pointer) : undefined}
                                    found={foundAt(row, findings)}
                                    onFocus={() => setCurrent(row.key)}
                                    onKeyDown={(event) => onKey(event, row)}
                                    onEdit={() => setEditing(row.key)}
                                    onDone={() => {
                                        setEditing(undefined);
                                        setTimeout(() => focusRow(row.key));
                                    }}
                                    onInsert={() => startInsert(row)}
                                    folded={folded.has(row.key)}
                                    onFold={() => fold(row.key)}
                                    onCopy={() => copy(row)}
                                    onPaste={() => paste(row)}
                                    onRemove={() => remove(row)}
                                    onMove={(direction) =>
                                        row.is === 'step' && put(move(value.steps, row.place, direction), row.key)
                                    }
                                    onStep={(step) => put(replaceAt(value.steps, row.place, step))}
                                    onExits={(exits) => put(changeExits(value.steps, row.place, exits))}
                                />
                                {inserting?.after === row.key && (
                                    <Inserter
                                        depth={row.depth + (row.is === 'exit' ? 1 : 0)}
                                        onChoose={insert}
                                        line={typedLine}
                                        onCancel={closeInserter}
                                    />
                                )}
                            </div>
                        );
                    })}
                </div>
                {!disabled && rows.length === 0 && !inserting && <p className="quiet">Nothing happens here yet.</p>}
                {!disabled && inserting?.after === '' && (
                    <Inserter depth={0} onChoose={insert} line={typedLine} onCancel={() => setInserting(undefined)} />
                )}
                <p className="runs-out quiet">Where the list runs out, the call ends.</p>
                <CourseLine container={grid} marks={marks} />
            </div>
            {!disabled && (
                <Button
                    size="small"
                    data-start
                    onClick={() =>
                        setInserting({
                            after: rows.filter((row) => row.depth === 0).at(-1) ? (rows.at(-1)?.key ?? '') : '',
                            place: { list: [], index: value.steps.length },
                        })
                    }
                >
                    Add a step at the end
                </Button>
            )}
        </>
    );
}

/** Where something goes that is put below a row: after a step, or first of an exit. */
function placeBelow(row: Row): Place {
    return row.is === 'step'
        ? { list: row.place.list, index: row.place.index + 1 }
        : { list: [...row.place.list, { step: row.place.index, exit: row.exitIndex }], index: 0 };
}

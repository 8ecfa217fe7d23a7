import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Endings, Journey, Step, Trace } from '../api/types';
import { CourseLine } from '../call/CourseLine';
import { clock } from '../call/clock';
import { useEndings } from '../call/useEndings';
import { useMoment } from '../moment/useMoment';
import { LeadItHere } from '../numbers/LeadHere';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { Findings } from '../ui/Findings';
import { useFindingsAt } from '../ui/FindingsAt';
import { Inserter } from './Inserter';
import { OutlineRow } from './OutlineRow';
import { foundAt, type Row } from './outlineModel';
import { TypedStep } from './TypedStep';
import { useOutline } from './useOutline';

/** "From here: Ann answers, a message · over after 1:20 at most". */
function aheadOf(step: Step, journey: Journey, endings: Endings | undefined): string | undefined {
    if (!endings) return undefined;
    const found = endings.steps.find((one) => one.journey === journey.id && one.step === step.id);
    if (!found) return 'No call to this number comes here at this moment.';
    const most =
        found.most === null ? 'may go round for as long as callers like' : `over after ${clock(found.most)} at most`;
    const more = endings.notTried.filter((one) => one.journey === journey.id && one.step === step.id);
    return [`From here: ${found.endings.join(', ')}`, most, ...more.map((one) => `perhaps more: ${one.words}`)].join(
        ' · ',
    );
}

/** A journey as an outline, edited in place, with the way that the trial call takes through it. */
export function Outline(props: EditorProps<Journey> & { trace: Trace | undefined }) {
    const { value, error, disabled, trace } = props;
    const plan = usePlan();
    const { change: chooseCall, search } = useMoment();
    const findings = useFindingsAt('/steps');
    const outline = useOutline(props);
    const { rows, grid, editing, inserting, closeInserter } = outline;
    const visits = (trace?.visits ?? []).filter((visit) => visit.journey === value.id);
    const marks = visits.flatMap((visit) => [
        visit.step,
        ...(visit.exit && visit.exitTaken ? [`${visit.step}:${visit.exit}`] : []),
    ]);

    const visitOf = (row: Row) =>
        row.is === 'step'
            ? visits.findLast((one) => one.step === row.step.id)
            : visits.findLast((one) => one.step === row.of.id && one.exit === row.exit.on);
    const eventOf = (row: Row) =>
        row.is === 'step'
            ? trace?.events.slice(0, -1).findLast((one) => one.journey === value.id && one.step === row.step.id)
            : undefined;
    const typedLine = (begun: string) => (
        <TypedStep begun={begun} onStep={outline.insertTyped} onCancel={closeInserter} />
    );
    const [looksAhead, setLooksAhead] = useState(false);
    const ahead = useEndings(looksAhead);
    if (!plan) return null;
    return (
        <>
            <p className="line-row wrap">
                <Link to={{ pathname: `/map/${value.id}`, search }}>As a map</Link>
                <Button
                    size="small"
                    aria-pressed={looksAhead}
                    loading={looksAhead && ahead.isFetching}
                    onClick={() => setLooksAhead(!looksAhead)}
                >
                    What can happen from each step
                </Button>
                {looksAhead && ahead.data && ahead.data.notTried.length > 0 && (
                    <span className="quiet">There may be other endings, or later ones.</span>
                )}
            </p>
            <p className="keys quiet">
                {disabled
                    ? 'Arrow keys move · L listens.'
                    : 'Arrow keys move · Enter edits · L listens · + inserts below · Alt with arrows moves a step · ← folds · Ctrl+C, X, V · Delete removes · Ctrl+Z takes back'}
            </p>
            <Findings found={findings.filter((one) => one.pointer === '/steps')} />
            {trace && visits.length === 0 && (
                <p className="notice">
                    This call does not come through this journey.{' '}
                    <Button size="small" onClick={() => chooseCall({ to: value.id, zone: '' })}>
                        Try a call straight to it
                    </Button>{' '}
                    <LeadItHere id={value.id} />
                </p>
            )}
            <div className="outline-box" ref={grid}>
                <div role="treegrid" aria-label={`Steps of ${value.name}`} className="outline">
                    {rows.map((row) => (
                        <div key={row.key} role="presentation">
                            <OutlineRow
                                row={row}
                                visit={visitOf(row)}
                                event={eventOf(row)}
                                tabbable={row.key === outline.currentKey}
                                editing={editing === row.key && !disabled}
                                disabled={disabled}
                                error={row.is === 'step' ? error(row.pointer) : undefined}
                                found={foundAt(row, findings)}
                                ahead={
                                    looksAhead && row.is === 'step' ? aheadOf(row.step, value, ahead.data) : undefined
                                }
                                folded={outline.folded.has(row.key)}
                                acts={outline.acts}
                            />
                            {inserting?.after === row.key && (
                                <Inserter
                                    depth={row.depth + (row.is === 'exit' ? 1 : 0)}
                                    onChoose={outline.insert}
                                    line={typedLine}
                                    onCancel={closeInserter}
                                />
                            )}
                        </div>
                    ))}
                </div>
                {!disabled && rows.length === 0 && !inserting && <p className="quiet">Nothing happens here yet.</p>}
                {!disabled && inserting?.after === '' && (
                    <Inserter depth={0} onChoose={outline.insert} line={typedLine} onCancel={closeInserter} />
                )}
                <p className="runs-out quiet">Where the list runs out, the call ends.</p>
                <CourseLine container={grid} marks={marks} />
            </div>
            {!disabled && (
                <Button size="small" data-start onClick={outline.acts.insertAtEnd}>
                    Add a step at the end
                </Button>
            )}
        </>
    );
}

import { Button } from 'antd';
import { type CSSProperties, memo, type ReactNode, useState } from 'react';
import type { Finding, Step, Trace, TraceEvent } from '../api/types';
import { clock } from '../call/clock';
import { usePlan } from '../plan/usePlan';
import { Findings } from '../ui/Findings';
import { Said } from '../ui/Why';
import { exitsOf, type Row } from './outlineModel';
import { ExitFields, StepFields } from './StepFields';
import { exitLabel, moduleOf } from './steps';
import type { RowActs } from './useOutline';

interface Props {
    row: Row;
    visit: Trace['visits'][number] | undefined;
    event: TraceEvent | undefined;
    tabbable: boolean;
    editing: boolean;
    disabled: boolean;
    folded: boolean;
    error: string | undefined;
    found: Finding[];
    /** What can become of calls from here on, where that is asked for. */
    ahead: string | undefined;
    acts: RowActs;
}

/** One row of the outline: a step or an exit, the second at which the call comes there, and why. */
export const OutlineRow = memo(function OutlineRow(props: Props) {
    const { row, visit, event, editing, disabled, folded, error, acts } = props;
    const { key } = row;
    const plan = usePlan();
    const [active, setActive] = useState(false);
    const hoursOf = (step: Step) => (step.do === 'hours' ? plan?.get('hours', step.hours) : undefined);
    const name = row.is === 'step' ? `step ${row.step.do}` : `exit ${row.exit.on}`;

    return (
        <div
            role="row"
            aria-level={row.depth + 1}
            aria-posinset={row.nth}
            aria-setsize={row.among}
            aria-expanded={row.is === 'step' && exitsOf(row.step).length > 0 ? !folded : undefined}
            tabIndex={props.tabbable ? 0 : -1}
            data-row={key}
            className={`row ${row.is}${visit ? ' taken' : ''}${editing ? ' editing' : ''}`}
            onFocus={(focus) => focus.target === focus.currentTarget && acts.choose(key)}
            onPointerMove={() => active || setActive(true)}
            onPointerDown={() => setActive(true)}
            // A finger is gone at once: what it touched stays chosen until something else is.
            onPointerLeave={({ pointerType }) => pointerType === 'mouse' && setActive(false)}
            onBlur={({ currentTarget, relatedTarget }) => currentTarget.contains(relatedTarget) || setActive(false)}
            onKeyDown={(pressed) => acts.onKey(key, pressed)}
            onDoubleClick={() => !disabled && !editing && acts.edit(key)}
        >
            <span role="gridcell" className="second figures">
                {visit && row.is === 'step' ? (
                    <span title="Since the call began">{clock(visit.from)}</span>
                ) : (
                    <span className="hidden">not taken</span>
                )}
            </span>
            <div role="gridcell" className="body" style={{ '--depth': row.depth } as CSSProperties}>
                <span className={row.is === 'exit' ? 'mark small' : 'mark'} data-mark={row.key} />
                <div className="words">
                    {row.is === 'step' ? (
                        editing ? (
                            <StepFields
                                step={row.step}
                                onChange={(step) => acts.changeStep(key, step)}
                                onExits={(change) => acts.changeExits(key, change)}
                                onDone={() => acts.stopEditing(key)}
                            />
                        ) : (
                            <>
                                <StepSentence step={row.step} />
                                {folded && (
                                    <Button
                                        size="small"
                                        type="text"
                                        className="fold"
                                        tabIndex={-1}
                                        onClick={() => acts.fold(key)}
                                    >
                                        … {exitsOf(row.step).length} folded
                                    </Button>
                                )}
                                {row.step.why && <Said why={row.step.why} />}
                            </>
                        )
                    ) : editing ? (
                        <ExitFields
                            step={row.of}
                            exit={row.exit}
                            hours={hoursOf(row.of)}
                            onExits={(change) => acts.changeExits(key, change)}
                            exitIndex={row.exitIndex}
                            onDone={() => acts.stopEditing(key)}
                        />
                    ) : (
                        <span className="exit-name">
                            {exitLabel(row.of, row.exit.on, hoursOf(row.of), plan)}
                            {row.exit.label && <span> · {row.exit.label}</span>}
                            {row.exit.steps.length === 0 && <span className="quiet"> goes on with the next step</span>}
                        </span>
                    )}
                    {props.ahead && !editing && <span className="ahead quiet">{props.ahead}</span>}
                    <Findings found={props.found} />
                    {error && (
                        <span className="alarm" role="alert">
                            {error}
                        </span>
                    )}
                    {visit && event && !editing && row.is === 'step' && (
                        <span className="reason quiet" title={event.reason}>
                            {row.step.do === 'hours' ? `${event.text}. ${event.reason}` : event.reason}
                        </span>
                    )}
                </div>
            </div>
            <span role="gridcell" className="tools">
                {!disabled && (active || editing) && (
                    <RowTools
                        of={key}
                        name={name}
                        isStep={row.is === 'step'}
                        canFold={row.is === 'step' && exitsOf(row.step).length > 0}
                        folded={folded}
                        editing={editing}
                        acts={acts}
                    />
                )}
            </span>
        </div>
    );
});

interface ToolsProps {
    /** The row's key. */
    of: string;
    name: string;
    isStep: boolean;
    canFold: boolean;
    folded: boolean;
    editing: boolean;
    acts: RowActs;
}

/** What the mouse can do to a row. Drawn for the row it points at: the keyboard has its keys. */
function RowTools({ of, name, isStep, canFold, folded, editing, acts }: ToolsProps) {
    return (
        <>
            {!editing && <Tool label={`Edit ${name}`} sign="Edit" act={() => acts.edit(of)} />}
            <Tool label={`Insert below ${name}`} sign="+" act={() => acts.insertBelow(of)} />
            {canFold && (
                <Tool
                    label={`${folded ? 'Unfold' : 'Fold'} the exits of ${name}`}
                    sign={folded ? '▸' : '▾'}
                    act={() => acts.fold(of)}
                />
            )}
            <Tool label={`Copy ${name}`} sign={<Sign d="M5.5 5.5h7v7h-7zM3.5 10.5v-7h7" />} act={() => acts.copy(of)} />
            <Tool
                label={`Paste below ${name}`}
                sign={<Sign d="M3.5 3.5h9v9h-9zM8 5.5v5M5.8 8.3L8 10.5l2.2-2.2" />}
                act={() => acts.pasteBelow(of)}
            />
            {isStep && (
                <>
                    <Tool label={`Move ${name} up`} sign="↑" act={() => acts.move(of, 'up')} />
                    <Tool label={`Move ${name} down`} sign="↓" act={() => acts.move(of, 'down')} />
                </>
            )}
            <Tool label={`Remove ${name}`} sign="✕" act={() => acts.remove(of)} />
        </>
    );
}

function Sign({ d }: { d: string }) {
    return (
        <svg width="14" height="14" viewBox="0 0 16 16" aria-hidden="true">
            <path d={d} fill="none" stroke="currentColor" strokeWidth="1.4" />
        </svg>
    );
}

function Tool({ label, sign, act }: { label: string; sign: ReactNode; act: () => void }) {
    return (
        <Button size="small" type="text" tabIndex={-1} aria-label={label} onClick={act}>
            {sign}
        </Button>
    );
}

function StepSentence({ step }: { step: Step }) {
    const { Sentence } = moduleOf(step);
    return <Sentence step={step} />;
}

import { Checkbox, Modal } from 'antd';
import type { ReactNode } from 'react';

export interface FileRow {
    line: number;
    name: string;
    outcome: 'added' | 'changed' | 'unchanged' | 'refused';
    /** What is in a column now, and what will be. */
    changes: string[];
    problems: string[];
}

const MOST_LISTED = 100;
/** What somebody must look at comes first. */
const ORDER = { refused: 0, changed: 1, added: 2, unchanged: 3 };

/** What a file would do, row by row, before it is taken over. */
export function FileReport({
    rows,
    large = 0,
    leaveOut,
    onLeaveOut,
    busy,
    onTake,
    onClose,
    children,
}: {
    rows: FileRow[];
    /** Rows of a file so large that it is brought in while other work goes on, of which these are the first; 0: it is not. */
    large?: number;
    leaveOut: boolean;
    onLeaveOut: (leaveOut: boolean) => void;
    busy: boolean;
    onTake: () => void;
    onClose: () => void;
    /** Whatever else is to be said or decided. */
    children?: ReactNode;
}) {
    const of = (outcome: FileRow['outcome']) => rows.filter((one) => one.outcome === outcome).length;
    const takes = of('added') + of('changed');
    const refused = of('refused');
    return (
        <Modal
            open
            title="What the file would bring"
            okText={large ? `Take over up to ${large}` : takes === 0 ? 'Nothing to take over' : `Take over ${takes}`}
            okButtonProps={{ disabled: (takes === 0 && !large) || (refused > 0 && !leaveOut) }}
            confirmLoading={busy}
            onOk={onTake}
            onCancel={onClose}
            width={620}
        >
            {children}
            <p className="quiet">
                {of('added')} new, {of('changed')} changed, {of('unchanged')} already so, {refused} with problems.
                Nothing is changed until you take it over.
            </p>
            {(refused > 0 || large > 0) && (
                <Checkbox checked={leaveOut} onChange={(event) => onLeaveOut(event.target.checked)}>
                    {large ? 'Leave out whoever has problems' : `Leave out the ${refused} with problems`}
                </Checkbox>
            )}
            <ul className="import-list report">
                {rows
                    .toSorted((a, b) => ORDER[a.outcome] - ORDER[b.outcome])
                    .slice(0, MOST_LISTED)
                    .map((one) => (
                        <li key={one.line}>
                            <span className="quiet figures">line {one.line}</span> {one.name || 'Without a name'}:{' '}
                            {one.outcome}
                            {one.changes.length > 0 && <span className="quiet"> {one.changes.join('; ')}</span>}
                            {one.problems.length > 0 && <span className="alarm"> {one.problems.join(' ')}</span>}
                        </li>
                    ))}
            </ul>
            {rows.length > MOST_LISTED && <p className="quiet">and {rows.length - MOST_LISTED} more lines</p>}
        </Modal>
    );
}

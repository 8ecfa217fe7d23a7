import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Checkbox, Modal } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { useEdit } from '../plan/useEdit';
import { patchDraft } from '../plan/usePlan';
import { FileButton, whyRefused } from '../ui/FileButton';
import { useWatchJobs } from '../ui/JobsNotice';

interface Row {
    line: number;
    name: string;
    outcome: 'added' | 'changed' | 'unchanged' | 'refused';
    problems: string[];
}

const MOST_LISTED = 100;

/** People as files, out and in: what comes in is looked at first, row by row. */
export function PeopleFiles() {
    const { moment } = useMoment();
    const { message } = App.useApp();
    const { complain } = useEdit();
    const queries = useQueryClient();
    const [text, setText] = useState('');
    const [rows, setRows] = useState<Row[]>();
    /** People of a file so large that it is brought in while other work goes on; 0: it is not. */
    const [large, setLarge] = useState(0);
    const watchJobs = useWatchJobs();
    const [problem, setProblem] = useState<string>();
    const [leaveOut, setLeaveOut] = useState(false);
    const [busy, setBusy] = useState(false);
    const of = (outcome: Row['outcome']) => rows?.filter((one) => one.outcome === outcome) ?? [];
    const refused = of('refused');
    const takes = of('added').length + of('changed').length;

    const look = async (read: string) => {
        setProblem(undefined);
        setLeaveOut(false);
        try {
            const found = await ask(api.POST('/api/plans/draft/people/preview', { body: { text: read } }));
            setText(read);
            setRows(found.rows);
            setLarge(found.inBackground ? found.count : 0);
        } catch (error) {
            setProblem(whyRefused(error));
        }
    };
    const take = async () => {
        setBusy(true);
        try {
            const answer = await ask(api.POST('/api/plans/draft/people', { body: { text, leaveOut } }));
            if ('state' in answer) watchJobs();
            else {
                patchDraft(queries, answer);
                message.success(`${takes} people are in the draft. Undo takes all of them back.`);
            }
            setRows(undefined);
        } catch (error) {
            complain(error);
        } finally {
            setBusy(false);
        }
    };

    return (
        <div className="files">
            <div className="line-row wrap">
                <Button size="small" href={`/api/plans/${moment.in}/people.csv`}>
                    CSV
                </Button>
                <Button size="small" href={`/api/plans/${moment.in}/people.vcf`}>
                    vCards
                </Button>
                {moment.in === 'draft' && (
                    <FileButton
                        label="Bring in …"
                        fileLabel="File of people"
                        accept=".csv,.vcf,text/csv,text/vcard"
                        onText={look}
                    />
                )}
            </div>
            {problem && (
                <p className="alarm" role="alert">
                    {problem}
                </p>
            )}
            {rows && (
                <Modal
                    open
                    title="What the file would bring"
                    okText={
                        large ? `Take over up to ${large}` : takes === 0 ? 'Nothing to take over' : `Take over ${takes}`
                    }
                    okButtonProps={{ disabled: (takes === 0 && !large) || (refused.length > 0 && !leaveOut) }}
                    confirmLoading={busy}
                    onOk={take}
                    onCancel={() => setRows(undefined)}
                    width={620}
                >
                    {large > 0 && (
                        <p>
                            The file has {large} people. It is brought in while you go on working, as one change; this
                            is what its first {rows.length} rows would do.
                        </p>
                    )}
                    <p className="quiet">
                        {of('added').length} new, {of('changed').length} changed, {of('unchanged').length} already so,{' '}
                        {refused.length} with problems. Nothing is changed until you take it over.
                    </p>
                    {(refused.length > 0 || large > 0) && (
                        <Checkbox checked={leaveOut} onChange={(event) => setLeaveOut(event.target.checked)}>
                            {large ? 'Leave out whoever has problems' : `Leave out the ${refused.length} with problems`}
                        </Checkbox>
                    )}
                    <ul className="import-list report">
                        {rows
                            .toSorted((a, b) => b.problems.length - a.problems.length)
                            .slice(0, MOST_LISTED)
                            .map((one) => (
                                <li key={one.line}>
                                    <span className="quiet figures">line {one.line}</span>{' '}
                                    {one.name || 'Without a name'}: {one.outcome}
                                    {one.problems.length > 0 && (
                                        <span className="alarm"> {one.problems.join(' ')}</span>
                                    )}
                                </li>
                            ))}
                    </ul>
                    {rows.length > MOST_LISTED && <p className="quiet">and {rows.length - MOST_LISTED} more lines</p>}
                </Modal>
            )}
        </div>
    );
}

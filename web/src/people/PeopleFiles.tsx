import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { patchDraft } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { FileButton, whyRefused } from '../ui/FileButton';
import { FileReport, type FileRow } from '../ui/FileReport';
import { useWatchJobs } from '../ui/JobsNotice';

/** People as files, out and in: what comes in is looked at first, row by row. */
export function PeopleFiles() {
    const { moment } = useMoment();
    const { message } = App.useApp();
    const told = useWrite();
    const queries = useQueryClient();
    const [text, setText] = useState('');
    const [rows, setRows] = useState<FileRow[]>();
    /** People of a file so large that it is brought in while other work goes on; 0: it is not. */
    const [large, setLarge] = useState(0);
    const watchJobs = useWatchJobs();
    const [problem, setProblem] = useState<string>();
    const [leaveOut, setLeaveOut] = useState(false);
    const [busy, setBusy] = useState(false);
    const takes = rows?.filter((one) => one.outcome === 'added' || one.outcome === 'changed').length ?? 0;

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
        const answer = await told(() => ask(api.POST('/api/plans/draft/people', { body: { text, leaveOut } })));
        setBusy(false);
        if (!answer) return;
        if ('state' in answer) watchJobs();
        else {
            patchDraft(queries, answer);
            message.success(`${takes} people are in the draft. Undo takes all of them back.`);
        }
        setRows(undefined);
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
                <FileReport
                    rows={rows}
                    large={large}
                    leaveOut={leaveOut}
                    onLeaveOut={setLeaveOut}
                    busy={busy}
                    onTake={take}
                    onClose={() => setRows(undefined)}
                >
                    {large > 0 && (
                        <p>
                            The file has {large} people. It is brought in while you go on working, as one change; this
                            is what its first {rows.length} rows would do.
                        </p>
                    )}
                </FileReport>
            )}
        </div>
    );
}

import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Checkbox } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { patchDraft } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { FileButton, whyRefused } from '../ui/FileButton';
import { FileReport, type FileRow } from '../ui/FileReport';

interface Row extends FileRow {
    makes: string | null;
}

/** Numbers as a table, out and in: what comes in is looked at first, row by row; targets may be made. */
export function NumberFiles() {
    const { moment } = useMoment();
    const { message } = App.useApp();
    const told = useWrite();
    const queries = useQueryClient();
    const [text, setText] = useState('');
    const [rows, setRows] = useState<Row[]>();
    const [makes, setMakes] = useState(false);
    const [leaveOut, setLeaveOut] = useState(false);
    const [busy, setBusy] = useState(false);
    const look = async (read: string, making: boolean) => {
        setMakes(making);
        try {
            const found = await ask(
                api.POST('/api/plans/draft/numbers/preview', { body: { text: read, makes: making } }),
            );
            setText(read);
            setRows(found.rows);
        } catch (error) {
            message.error(whyRefused(error));
        }
    };
    const take = async () => {
        setBusy(true);
        const body = { text, makes, leaveOut };
        const change = await told(() => ask(api.POST('/api/plans/draft/numbers/import', { body })));
        setBusy(false);
        if (!change) return;
        patchDraft(queries, change);
        message.success(`${change.label}. Undo takes all of them back.`);
        setRows(undefined);
    };
    const made = rows?.flatMap((row) => (row.makes ? [row.makes] : [])) ?? [];
    return (
        <div className="line-row wrap">
            <Button size="small" href={`/api/plans/${moment.in}/numbers.csv`}>
                As a table (CSV)
            </Button>
            {moment.in === 'draft' && (
                <FileButton
                    label="Bring in a table …"
                    fileLabel="File of numbers"
                    accept=".csv,text/csv"
                    onText={(read) => look(read, makes)}
                />
            )}
            {rows && (
                <FileReport
                    rows={rows}
                    leaveOut={leaveOut}
                    onLeaveOut={setLeaveOut}
                    busy={busy}
                    onTake={take}
                    onClose={() => setRows(undefined)}
                >
                    <Checkbox checked={makes} onChange={(event) => look(text, event.target.checked)}>
                        Make a journey for a target that is not there yet
                    </Checkbox>
                    {made.length > 0 && <p>Makes {made.join(', ')}.</p>}
                </FileReport>
            )}
        </div>
    );
}

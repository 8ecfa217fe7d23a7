import { Button, Checkbox } from 'antd';
import { useRef, useState } from 'react';
import { api, ask } from '../api/client';
import { useWrite } from '../plan/writes';
import { ACCEPTED, upload } from '../sound/uploads';
import { useWatchJobs } from '../ui/JobsNotice';
import { languageName } from '../ui/LanguageSelect';

interface Sent {
    upload: string;
    name: string;
}
interface Match {
    name: string;
    caption: string | null;
    language: string | null;
    part: number | null;
}

/** Many files at once, or a ZIP: looked at first, then made into takes in the background. */
export function BringRecordings() {
    const told = useWrite();
    const watchJobs = useWatchJobs();
    const input = useRef<HTMLInputElement>(null);
    const [sent, setSent] = useState<Sent[]>([]);
    const [matches, setMatches] = useState<Match[]>();
    const [sending, setSending] = useState('');
    const [leaveOut, setLeaveOut] = useState(false);
    const fitting = matches?.filter((one) => one.caption !== null) ?? [];
    const forget = () => {
        setSent([]);
        setMatches(undefined);
    };
    const send = async (files: File[]) => {
        forget();
        const found = await told(async () => {
            const all: Sent[] = [];
            for (const [i, file] of files.entries()) {
                setSending(`Sending ${i + 1} of ${files.length}: ${file.name}`);
                all.push({ upload: await upload(file), name: file.name });
            }
            setSending('Looking at the names …');
            setSent(all);
            return ask(api.POST('/api/plans/draft/recordings/preview', { body: { files: all } }));
        });
        setSending('');
        if (found) setMatches(found.files);
    };
    const bring = async () => {
        const job = await told(() => ask(api.POST('/api/plans/draft/recordings', { body: { files: sent, leaveOut } })));
        if (!job) return;
        forget();
        watchJobs(job);
    };
    return (
        <section className="sheet" aria-label="Bring recordings in">
            <h2>Bring recordings in</h2>
            <p className="quiet">
                Files named as on the sheet, or a ZIP of them: WAV, MP3, FLAC, OGG or Opus, M4A or AAC. Nothing is
                written before you have seen where each one goes.
            </p>
            <input
                ref={input}
                type="file"
                multiple
                accept={`${ACCEPTED},.zip`}
                className="hidden"
                tabIndex={-1}
                aria-label="Recordings"
                onChange={async (event) => {
                    const files = [...(event.target.files ?? [])];
                    if (files.length > 0) await send(files);
                    if (input.current) input.current.value = '';
                }}
            />
            <Button onClick={() => input.current?.click()} loading={sending !== ''}>
                Choose files …
            </Button>{' '}
            <span role="status">{sending}</span>
            {matches && (
                <>
                    <p role="status">
                        {fitting.length} of {matches.length}{' '}
                        {matches.length === 1 ? 'file finds its' : 'files find their'} place.
                    </p>
                    <ul className="pending">
                        {matches.map((one) => (
                            <li key={one.name}>
                                <code>{one.name}</code>{' '}
                                {one.caption === null ? (
                                    <span className="alarm">is no name of the sheet, and is left out</span>
                                ) : (
                                    <>
                                        → <b>{one.caption}</b> in {languageName(one.language ?? '')}
                                        {(one.part ?? 1) > 1 && `, part ${one.part}`}
                                    </>
                                )}
                            </li>
                        ))}
                    </ul>
                    <Checkbox checked={leaveOut} onChange={(event) => setLeaveOut(event.target.checked)}>
                        leave out what cannot be read as a recording
                    </Checkbox>
                    <div className="line-row">
                        <Button type="primary" disabled={fitting.length === 0} onClick={bring}>
                            Make takes of {fitting.length === 1 ? 'it' : `these ${fitting.length}`}
                        </Button>
                        <Button onClick={forget}>Leave it</Button>
                    </div>
                </>
            )}
        </section>
    );
}

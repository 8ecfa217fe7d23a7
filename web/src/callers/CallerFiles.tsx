import { useQueryClient } from '@tanstack/react-query';
import { App, Checkbox, Modal } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { CallerList } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usualSite } from '../plan/kinds';
import { patchDraft, usePlan } from '../plan/usePlan';
import { FileButton, whyRefused } from '../ui/FileButton';
import { useWatchJobs } from '../ui/JobsNotice';

interface Looked {
    text: string;
    lines: number;
    inBackground: boolean;
    entries: { match: string; name: string; label: string }[];
    problems: { line: number; detail: string; remedy: string }[];
}

const MOST_LISTED = 50;

/** A list of callers as a file, out and in: what comes in is looked at first, line by line. */
export function CallerFiles({ list, disabled }: { list: CallerList; disabled: boolean }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { message } = App.useApp();
    const [looked, setLooked] = useState<Looked>();
    const country = (plan && usualSite(plan)?.country) ?? 'GB';
    const look = async (text: string) => {
        try {
            setLooked({ text, ...(await ask(api.POST('/api/caller-lines', { body: { text, country } }))) });
        } catch (error) {
            message.error(whyRefused(error));
        }
    };
    const file = (format: 'csv' | 'vcf') => `/api/plans/${moment.in}/callers/${list.id}.${format}`;
    return (
        <>
            <p className="line-row wrap">
                {!disabled && (
                    <FileButton
                        label="Bring in a file"
                        fileLabel="File of callers"
                        accept=".csv,.txt,.tsv,.vcf"
                        onText={look}
                    />
                )}
                <a href={file('csv')}>As a table (CSV)</a>
                <a href={file('vcf')}>As cards (vCard)</a>
            </p>
            {looked && <LookedAt list={list} looked={looked} country={country} onClose={() => setLooked(undefined)} />}
        </>
    );
}

function LookedAt({
    list,
    looked,
    country,
    onClose,
}: {
    list: CallerList;
    looked: Looked;
    country: string;
    onClose: () => void;
}) {
    const queries = useQueryClient();
    const watchJobs = useWatchJobs();
    const [leaveOut, setLeaveOut] = useState(false);
    const [isBusy, setIsBusy] = useState(false);
    const [refused, setRefused] = useState<string>();
    const bring = async () => {
        setIsBusy(true);
        setRefused(undefined);
        try {
            const change = await ask(
                api.POST('/api/plans/draft/callers/{id}', {
                    params: { path: { id: list.id } },
                    body: { text: looked.text, country, leaveOut },
                }),
            );
            if ('elements' in change) patchDraft(queries, change);
            else watchJobs();
            onClose();
        } catch (error) {
            setRefused(whyRefused(error));
        }
        setIsBusy(false);
    };
    const mayBring = looked.inBackground || (looked.entries.length > 0 && (looked.problems.length === 0 || leaveOut));
    return (
        <Modal
            open
            title={`A file of ${looked.lines} lines for ${list.name}`}
            okText="Bring them in"
            okButtonProps={{ disabled: !mayBring, loading: isBusy }}
            onOk={bring}
            onCancel={onClose}
            width={680}
        >
            {looked.inBackground && (
                <p>
                    It is a large one: these are its first lines. All of it is brought in in the background, as one
                    edit.
                </p>
            )}
            <p>
                {looked.entries.length} can be taken
                {looked.problems.length > 0 && (
                    <span className="alarm">
                        , {looked.problems.length} cannot: nothing is written unless they are left out
                    </span>
                )}
                .
            </p>
            {looked.problems.length > 0 && (
                <div role="alert" className="alarm">
                    <ul>
                        {looked.problems.slice(0, MOST_LISTED).map((one) => (
                            <li key={one.line}>
                                Line {one.line}: {one.detail} {one.remedy}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            {(looked.problems.length > 0 || looked.inBackground) && (
                <Checkbox checked={leaveOut} onChange={(event) => setLeaveOut(event.target.checked)}>
                    Leave out lines that cannot be taken
                </Checkbox>
            )}
            <table className="callers">
                <tbody>
                    {looked.entries.slice(0, MOST_LISTED).map((one) => (
                        <tr key={one.match}>
                            <td className="figures">{one.match}</td>
                            <td>{one.name}</td>
                            <td>{one.label}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {refused && (
                <p role="alert" className="alarm">
                    {refused}
                </p>
            )}
        </Modal>
    );
}

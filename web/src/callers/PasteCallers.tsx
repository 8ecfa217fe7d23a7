import { Button, Input } from 'antd';
import { useId, useState } from 'react';
import { api, ask } from '../api/client';
import type { CallerEntry } from '../api/types';
import { usualSite } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';

interface Problem {
    line: number;
    detail: string;
    remedy: string;
}

/** Callers typed or pasted, a line each; the server says what each line is, and lines that are none stay to be mended. */
export function PasteCallers({ known, onAdd }: { known: CallerEntry[]; onAdd: (entries: CallerEntry[]) => void }) {
    const plan = usePlan();
    const told = useWrite();
    const id = useId();
    const [text, setText] = useState('');
    const [problems, setProblems] = useState<Problem[]>([]);
    const [report, setReport] = useState('');
    const add = async () => {
        const country = plan ? (usualSite(plan)?.country ?? 'GB') : 'GB';
        const read = await told(() => ask(api.POST('/api/caller-lines', { body: { text, country } })));
        if (!read) return;
        const taken = new Set(known.map((one) => one.match));
        const fresh = read.entries.filter((one) => !taken.has(one.match));
        if (fresh.length > 0) onAdd(fresh);
        const lines = text.split(/\r\n|\n|\r/);
        setText(read.problems.map(({ line }) => lines[line - 1]).join('\n'));
        setProblems(read.problems);
        setReport(`${fresh.length} added, ${read.entries.length - fresh.length} here already`);
    };
    return (
        <div className="field wide">
            <label htmlFor={id}>Add callers, a line each: number, name, label</label>
            <Input.TextArea
                id={id}
                rows={3}
                value={text}
                placeholder={'01632 960150, Marlow Haulage, Account\n+33 6*, Mobiles in France\nwithheld'}
                onChange={(event) => setText(event.target.value)}
                onKeyDown={(event) => event.key === 'Enter' && (event.ctrlKey || event.metaKey) && add()}
            />
            <div className="line-row">
                <Button disabled={text.trim() === ''} onClick={add}>
                    Add these
                </Button>
                <span role="status" className="quiet">
                    {report}
                </span>
            </div>
            {problems.length > 0 && (
                <div role="alert" className="alarm">
                    <ul>
                        {problems.map((one) => (
                            <li key={one.line}>
                                Line {one.line}: {one.detail} {one.remedy}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </div>
    );
}

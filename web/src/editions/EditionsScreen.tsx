import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, RefusedError } from '../api/client';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { patchDraft, usePlan } from '../plan/usePlan';
import { Field } from '../ui/Field';
import { FixButton } from '../ui/Findings';
import { useEditionsQuery } from './useEditions';

/** What is live and what was before; what publishing would change; and what is still unfinished. */
export function EditionsScreen() {
    const editions = useEditionsQuery();
    const findings = useQuery({
        queryKey: ['findings'],
        queryFn: () => ask(api.GET('/api/plans/{which}/findings', { params: { path: { which: 'draft' } } })),
    });
    const queries = useQueryClient();
    const { message } = App.useApp();
    const { complain } = useEdit();
    const { change, search } = useMoment();
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string>();
    const stamp = usePlan()?.stamp;
    const asked = useRef(stamp);
    // An undo on this very screen changes what publishing would do.
    useEffect(() => {
        if (asked.current !== stamp)
            for (const key of ['editions', 'findings']) queries.refetchQueries({ queryKey: [key] });
        asked.current = stamp;
    }, [stamp, queries]);
    const pending = editions.data?.pending ?? [];
    const list = editions.data?.editions ?? [];

    const publish = async () => {
        setRefused(undefined);
        try {
            const edition = await ask(api.POST('/api/editions', { body: { note } }));
            setNote('');
            await queries.invalidateQueries({ queryKey: ['editions'] });
            await queries.invalidateQueries({ queryKey: ['plan', 'live'] });
            message.success(`Edition ${edition.number} is live.`);
        } catch (error) {
            setRefused(
                error instanceof RefusedError
                    ? error.problem.errors
                        ? 'Write a note: what is new for callers?'
                        : error.problem.detail
                    : String(error),
            );
        }
    };
    const restore = async (number: number) => {
        try {
            const changed = await ask(
                api.POST('/api/editions/{number}/restore', { params: { path: { number } }, body: {} }),
            );
            patchDraft(queries, changed);
            message.success(`Edition ${number} is back in the draft. Undo takes it out again.`);
        } catch (error) {
            complain(error);
        }
    };

    return (
        <div className="two even">
            <section className="sheet" aria-label="Publish">
                <h1>Publish the draft</h1>
                {pending.length === 0 ? (
                    <p className="quiet">The draft is the same as what is live.</p>
                ) : (
                    <>
                        <p>
                            Publishing changes {pending.length} {pending.length === 1 ? 'thing' : 'things'} for callers:
                        </p>
                        <ul className="pending">
                            {pending.slice(0, 30).map((one) => (
                                <li key={one.id}>
                                    <span className={`what ${one.what}`}>{one.what}</span>{' '}
                                    {one.what === 'removed' ? (
                                        one.name
                                    ) : (
                                        <Link to={{ pathname: `/${KINDS[one.kind as Kind].path}/${one.id}`, search }}>
                                            {one.name}
                                        </Link>
                                    )}{' '}
                                    <span className="quiet">{one.kind}</span>
                                </li>
                            ))}
                            {pending.length > 30 && <li className="quiet">and {pending.length - 30} more</li>}
                        </ul>
                    </>
                )}
                {(findings.data?.findings ?? []).length > 0 && (
                    <>
                        <h2>Worth a look</h2>
                        <ul className="pending">
                            {findings.data?.findings.map((one) => (
                                <li key={one.id + one.pointer}>
                                    <span className={`what ${one.blocks ? 'removed' : 'changed'}`}>
                                        {one.blocks ? 'must be mended' : 'odd'}
                                    </span>{' '}
                                    <Link to={{ pathname: `/${KINDS[one.kind as Kind].path}/${one.id}`, search }}>
                                        {one.name}
                                    </Link>
                                    : {one.detail} {one.remedy} <FixButton fix={one.fix} />
                                </li>
                            ))}
                        </ul>
                    </>
                )}
                <Field label="Note" hint="What is new for callers?" error={refused} wide>
                    {(a11y) => (
                        <Input.TextArea
                            {...a11y}
                            rows={2}
                            value={note}
                            onChange={(event) => setNote(event.target.value)}
                        />
                    )}
                </Field>
                <Button type="primary" onClick={publish} disabled={pending.length === 0}>
                    Publish as edition {(list[0]?.number ?? 0) + 1}
                </Button>
            </section>
            <section className="sheet" aria-label="Editions">
                <h1>Editions</h1>
                {list.length === 0 && (
                    <p className="quiet">Nothing is published yet. Callers reach nothing until it is.</p>
                )}
                <ol className="editions">
                    {list.map((edition, i) => (
                        <li key={edition.number}>
                            <div>
                                <b>Edition {edition.number}</b> {i === 0 && <span className="what added">live</span>}
                                <div>{edition.note}</div>
                                <div className="quiet">
                                    {new Date(edition.at).toLocaleString('en-GB', {
                                        dateStyle: 'medium',
                                        timeStyle: 'short',
                                    })}{' '}
                                    · checksum {edition.checksum.slice(0, 8)}
                                </div>
                            </div>
                            <span className="buttons">
                                <Button
                                    size="small"
                                    onClick={() => change({ in: i === 0 ? 'live' : String(edition.number) })}
                                >
                                    Try calls on it
                                </Button>
                                <Button size="small" onClick={() => restore(edition.number)}>
                                    Put back into the draft
                                </Button>
                            </span>
                        </li>
                    ))}
                </ol>
            </section>
        </div>
    );
}

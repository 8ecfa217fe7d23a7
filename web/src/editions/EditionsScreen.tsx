import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, RefusedError } from '../api/client';
import type { Kind } from '../api/types';
import { ImpactSection } from '../coverage/Impact';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { draftOf, patchDraft, usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { Field } from '../ui/Field';
import { FixButton } from '../ui/Findings';
import { useEditionsQuery, usePending } from './useEditions';

/** What is live and what was before; what publishing would change; and what is still unfinished. */
export function EditionsScreen() {
    return (
        <div className="two even">
            <PublishSheet />
            <EditionsSheet />
        </div>
    );
}

function PublishSheet() {
    const looked = usePending().data;
    const findings = useQuery({
        queryKey: ['findings'],
        queryFn: () => ask(api.GET('/api/plans/{which}/findings', { params: { path: { which: 'draft' } } })),
    });
    const newest = useEditionsQuery().data?.pages[0]?.editions[0];
    const queries = useQueryClient();
    const { message } = App.useApp();
    const { search } = useMoment();
    const [note, setNote] = useState('');
    const [refused, setRefused] = useState<string>();
    const stamp = usePlan()?.stamp;
    const asked = useRef(stamp);
    // An undo on this very screen changes what publishing would do.
    useEffect(() => {
        if (asked.current !== stamp)
            for (const key of ['pending', 'findings']) queries.refetchQueries({ queryKey: [key] });
        asked.current = stamp;
    }, [stamp, queries]);
    const pending = looked?.pending ?? [];

    const publish = async () => {
        if (!looked) return;
        setRefused(undefined);
        try {
            const header = { 'If-Match': `"${looked.revision}"` };
            const edition = await ask(api.POST('/api/editions', { params: { header }, body: { note } }));
            setNote('');
            await queries.invalidateQueries({ queryKey: ['editions'] });
            await queries.invalidateQueries({ queryKey: ['pending'] });
            await queries.invalidateQueries({ queryKey: ['plan', 'live'] });
            message.success(`Edition ${edition.number} is live.`);
        } catch (error) {
            const problem = error instanceof RefusedError ? error.problem : undefined;
            setRefused(
                problem?.status === 412
                    ? 'The draft was changed meanwhile. What publishing changes is listed anew: look again.'
                    : problem?.errors
                      ? 'Write a note: what is new for callers?'
                      : (problem?.detail ?? String(error)),
            );
            if (problem?.status === 412) {
                queries.invalidateQueries({ queryKey: ['plan', 'draft'] });
                queries.invalidateQueries({ queryKey: ['pending'] });
                queries.invalidateQueries({ queryKey: ['findings'] });
            }
        }
    };

    return (
        <section className="sheet" aria-label="Publish">
            <h1>Publish the draft</h1>
            {pending.length === 0 ? (
                <p className="quiet">The draft is the same as what is live.</p>
            ) : (
                <>
                    <p>
                        Publishing changes {looked?.count} {looked?.count === 1 ? 'thing' : 'things'} for callers:
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
                        {pending.length > 30 && <li className="quiet">and {(looked?.count ?? 0) - 30} more</li>}
                    </ul>
                </>
            )}
            {pending.length > 0 && <ImpactSection title="What it changes for callers" />}
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
                    <Input.TextArea {...a11y} rows={2} value={note} onChange={(event) => setNote(event.target.value)} />
                )}
            </Field>
            <Button type="primary" onClick={publish} disabled={pending.length === 0}>
                Publish as edition {(newest?.number ?? 0) + 1}
            </Button>
        </section>
    );
}

function EditionsSheet() {
    const editions = useEditionsQuery();
    const queries = useQueryClient();
    const { message } = App.useApp();
    const told = useWrite();
    const { change } = useMoment();
    const [compared, setCompared] = useState<number>();
    const list = editions.data?.pages.flatMap((page) => page.editions) ?? [];
    const live = editions.data?.pages[0]?.live;
    // Calls are routed by the last one that is intact.
    const isDamaged = (number: number) => live !== undefined && number > (live ?? 0);

    const restore = async (number: number) => {
        const header = { 'If-Match': `"${draftOf(queries)?.revision ?? 0}"` };
        const params = { path: { number }, header };
        const changed = await told(() => ask(api.POST('/api/editions/{number}/restore', { params, body: {} })));
        if (!changed) return;
        patchDraft(queries, changed);
        message.success(`Edition ${number} is back in the draft. Undo takes it out again.`);
    };

    return (
        <section className="sheet" aria-label="Editions">
            <h1>Editions</h1>
            {list.length === 0 && <p className="quiet">Nothing is published yet. Callers reach nothing until it is.</p>}
            <ol className="editions">
                {list.map((edition) => (
                    <li key={edition.number}>
                        <div>
                            <b>Edition {edition.number}</b>{' '}
                            {edition.number === live && <span className="what added">live</span>}
                            {isDamaged(edition.number) && <span className="what removed">damaged</span>}
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
                                disabled={isDamaged(edition.number)}
                                onClick={() =>
                                    change({ in: edition.number === live ? 'live' : String(edition.number) })
                                }
                            >
                                Try calls on it
                            </Button>
                            <Button
                                size="small"
                                disabled={isDamaged(edition.number)}
                                onClick={() => restore(edition.number)}
                            >
                                Put back into the draft
                            </Button>
                            {edition.number !== live && (
                                <Button
                                    size="small"
                                    type="text"
                                    aria-expanded={compared === edition.number}
                                    disabled={isDamaged(edition.number)}
                                    onClick={() =>
                                        setCompared(compared === edition.number ? undefined : edition.number)
                                    }
                                >
                                    What going back changes
                                </Button>
                            )}
                        </span>
                        {compared === edition.number && (
                            <ImpactSection
                                title={`Going back from what is live to edition ${edition.number}`}
                                after={String(edition.number)}
                            />
                        )}
                    </li>
                ))}
            </ol>
            {editions.hasNextPage && <Button onClick={() => editions.fetchNextPage()}>Older ones</Button>}
        </section>
    );
}

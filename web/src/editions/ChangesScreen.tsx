import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask } from '../api/client';
import type { Edit, Element } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { differences, valueWords } from './difference';

const AT_ONCE = 40;
const STATES = { done: '', undone: 'taken back', dropped: 'cannot be taken back' } as const;

/** Who changed what in the draft, and when; all of it, or one element. */
export function ChangesScreen() {
    const { id } = useParams();
    const plan = usePlan();
    const { search } = useMoment();
    const log = useInfiniteQuery({
        queryKey: ['history', id ?? '', plan?.stamp],
        queryFn: ({ pageParam: before }) =>
            ask(
                api.GET('/api/plans/draft/history', {
                    params: {
                        query: { most: AT_ONCE, ...(before ? { before } : {}), ...(id ? { element: id } : {}) },
                    },
                }),
            ),
        initialPageParam: 0,
        getNextPageParam: (page) => (page.edits.length === AT_ONCE ? page.edits.at(-1)?.id : undefined),
        placeholderData: (before) => before,
    });
    const edits = log.data?.pages.flatMap((page) => page.edits);
    const element = plan?.find(id);
    return (
        <div className="one">
            <section className="sheet" aria-label="Changes">
                <h1>{element ? `Changes to ${element.name}` : 'Changes'}</h1>
                {id ? (
                    <p className="quiet">
                        <Link to={{ pathname: '/changes', search }}>All changes</Link>
                        {element && (
                            <>
                                {' · '}
                                <Link to={{ pathname: `/${KINDS[element.kind].path}/${element.id}`, search }}>
                                    {element.name} as it is
                                </Link>
                            </>
                        )}
                    </p>
                ) : (
                    <p className="quiet">
                        Every change of the draft, the latest first. Undo and redo step through these.
                    </p>
                )}
                {edits?.length === 0 && <p className="quiet">Nothing was changed yet.</p>}
                <ol className="changes">
                    {edits?.map((edit) => (
                        <EditRow key={edit.id} edit={edit} only={id} />
                    ))}
                </ol>
                {log.hasNextPage && <Button onClick={() => log.fetchNextPage()}>Older ones</Button>}
            </section>
        </div>
    );
}

function EditRow({ edit, only }: { edit: Edit; only: string | undefined }) {
    const [open, setOpen] = useState(false);
    const what = edit.changed === 1 ? '1 element' : `${edit.changed} elements`;
    return (
        <li>
            <div className="change">
                <time dateTime={edit.at} className="quiet figures">
                    {new Date(edit.at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'medium' })}
                </time>
                <span>
                    <b>{edit.label}</b> <span className="quiet">by {edit.who}</span>{' '}
                    {STATES[edit.state] && <span className="what">{STATES[edit.state]}</span>}
                </span>
                <Button
                    size="small"
                    aria-expanded={open}
                    aria-label={`What changed: ${edit.label}`}
                    onClick={() => setOpen(!open)}
                    disabled={edit.changed === 0}
                >
                    {edit.changed === 0 ? 'the name' : what}
                </Button>
            </div>
            {open && <EditDifferences edit={edit} only={only} />}
        </li>
    );
}

function EditDifferences({ edit, only }: { edit: Edit; only: string | undefined }) {
    const plan = usePlan();
    const { search } = useMoment();
    const changes = useQuery({
        queryKey: ['history', 'edit', edit.id],
        queryFn: () => ask(api.GET('/api/plans/draft/history/{edit}', { params: { path: { edit: edit.id } } })),
        staleTime: Number.POSITIVE_INFINITY,
    }).data?.changes.filter((one) => !only || one.id === only);
    const name = (id: string) => plan?.find(id)?.name;
    return (
        <ul className="differences">
            {changes?.map(({ id, before, after }) => {
                const element = (after ?? before) as Element;
                return (
                    <li key={id}>
                        {plan?.find(id) ? (
                            <Link to={{ pathname: `/${KINDS[element.kind].path}/${id}`, search }}>{element.name}</Link>
                        ) : (
                            element.name
                        )}{' '}
                        <span className="quiet">{KINDS[element.kind].one}</span>{' '}
                        {!before && <span className="what added">added</span>}
                        {!after && <span className="what removed">removed</span>}
                        {before && after && (
                            <dl>
                                {differences(before, after).map((one) => (
                                    <div key={one.pointer}>
                                        <dt>{one.place}</dt>
                                        <dd>
                                            <del>{valueWords(one.before, name)}</del> →{' '}
                                            <ins>{valueWords(one.after, name)}</ins>
                                        </dd>
                                    </div>
                                ))}
                            </dl>
                        )}
                    </li>
                );
            })}
            {edit.changed > (changes?.length ?? edit.changed) && !only && (
                <li className="quiet">and {edit.changed - (changes?.length ?? 0)} more</li>
            )}
        </ul>
    );
}

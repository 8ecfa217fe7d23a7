import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Pending } from '../api/types';
import { ImpactSection } from '../coverage/Impact';
import { useExpectations } from '../expectations/useExpectations';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { LookingThrough } from '../ui/LookingThrough';
import { ChangedElements, elementWords } from './ChangedElements';
import { FindingsSection } from './FindingsSection';
import { PublishForm } from './PublishForm';
import { useEditionsQuery, usePending } from './useEditions';

/** What publishing would change for callers, what is broken, odd or not recorded, and publishing itself. */
export function PublishSheet() {
    const looked = usePending().data;
    const queries = useQueryClient();
    const stamp = usePlan()?.stamp;
    const asked = useRef(stamp);
    // An undo on this very screen changes what publishing would do.
    useEffect(() => {
        if (asked.current !== stamp)
            for (const key of ['pending', 'findings', 'recordings']) queries.refetchQueries({ queryKey: [key] });
        asked.current = stamp;
    }, [stamp, queries]);

    return (
        <section className="sheet" aria-label="Publish">
            <h1>Publish the draft</h1>
            {looked?.count === 0 && <p className="quiet">The draft is the same as what is live.</p>}
            {looked && looked.count > 0 && (
                <>
                    <ImpactSection title="What it changes for callers" />
                    <Changed changes={looked} />
                </>
            )}
            <BrokenExpectations />
            <FindingsSection />
            <ToRecord />
            <PublishForm looked={looked} />
        </section>
    );
}

function Changed({ changes }: { changes: Pending }) {
    return (
        <details className="more" open={changes.count < 6}>
            <summary>It changes {elementWords(changes.count)} of the plan</summary>
            <ChangedElements changes={changes} linked />
        </details>
    );
}

/** What is promised and not kept; and why it was published all the same, where it was. */
function BrokenExpectations() {
    const query = useExpectations('draft');
    const { data } = query;
    const { search } = useMoment();
    const pages = useEditionsQuery().data?.pages;
    const despite = pages?.flatMap((page) => page.editions).find((one) => one.number === pages[0]?.live)?.despite;
    const all = [...(data?.values() ?? [])];
    const broken = all.filter((one) => one.state === 'broken');
    const unseen = all.filter((one) => one.state === 'not looked at');
    return (
        <section aria-label="Expectations">
            <h2>Expectations</h2>
            <LookingThrough what="the coming year" query={query} />
            {data && (
                <p className="quiet">
                    {all.length === 0
                        ? 'Nothing is promised of calls yet.'
                        : `${all.length - broken.length - unseen.length} of ${all.length} are kept.`}
                    {unseen.length > 0 &&
                        (query.isAtWork
                            ? ` ${unseen.length} are being looked at.`
                            : ` There was no time to look at ${unseen.length}.`)}
                </p>
            )}
            <ul className="pending">
                {broken.map((one) => (
                    <li key={one.id}>
                        <span className="what removed">broken</span>{' '}
                        <Link to={{ pathname: `/${KINDS.expectation.path}/${one.id}`, search }}>{one.name}</Link>:{' '}
                        {one.sentence.calls} · {one.sentence.when} · {one.sentence.promise}
                        {despite?.[one.id] && (
                            <span className="quiet"> Known when it was published: {despite[one.id]}</span>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Who must record what. */
function ToRecord() {
    const { search } = useMoment();
    const { data } = useQuery({
        queryKey: ['recordings', 'draft', { what: 'missing' }],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/recordings', {
                    params: { path: { which: 'draft' }, query: { what: 'missing' } },
                }),
            ),
    });
    const voices = new Map<string, number>();
    for (const row of data?.rows ?? []) voices.set(row.voice, (voices.get(row.voice) ?? 0) + 1);
    if (voices.size === 0) return null;
    return (
        <section aria-label="To be recorded">
            <h2>To be recorded</h2>
            <p>
                {[...voices].map(([voice, count]) => `${voice || 'no voice chosen'}: ${count}`).join(' · ')}{' '}
                <Link to={{ pathname: '/recordings', search }}>the sheet</Link>{' '}
                <span className="quiet">Until then, the machine reads these scripts.</span>
            </p>
        </section>
    );
}

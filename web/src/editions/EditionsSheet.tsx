import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { api, ask } from '../api/client';
import type { Edition } from '../api/types';
import { ImpactSection } from '../coverage/Impact';
import { useMoment } from '../moment/useMoment';
import { draftOf, patchDraft } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { useEditionsQuery, useRevoke } from './useEditions';

const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** What was published, the latest first. */
export function EditionsSheet() {
    const editions = useEditionsQuery();
    const list = editions.data?.pages.flatMap((page) => page.editions) ?? [];
    const live = editions.data?.pages[0]?.live ?? null;
    return (
        <section className="sheet" aria-label="Editions">
            <h1>Editions</h1>
            {list.length === 0 && <p className="quiet">Nothing is published yet. Callers reach nothing until it is.</p>}
            <ol className="editions">
                {list.map((edition) => (
                    <li key={edition.number}>
                        <Entry edition={edition} state={stateOf(edition, live, list)} />
                    </li>
                ))}
            </ol>
            {editions.hasNextPage && <Button onClick={() => editions.fetchNextPage()}>Older ones</Button>}
        </section>
    );
}

type State = 'live' | 'to come' | 'taken back' | 'damaged' | 'before';

function stateOf(edition: Edition, live: number | null, all: Edition[]): State {
    if (edition.revokedAt) return 'taken back';
    if (edition.number === live) return 'live';
    if (new Date(edition.inForceFrom) > new Date()) return 'to come';
    const current = all.find((one) => one.number === live);
    // Calls are routed by the last one that is intact.
    const isLater =
        !current ||
        edition.inForceFrom > current.inForceFrom ||
        (edition.inForceFrom === current.inForceFrom && edition.number > current.number);
    return isLater ? 'damaged' : 'before';
}

const MARKS: Record<State, string> = {
    live: 'added',
    'to come': 'changed',
    'taken back': 'removed',
    damaged: 'removed',
    before: '',
};

function Entry({ edition, state }: { edition: Edition; state: State }) {
    const [isCompared, setIsCompared] = useState(false);
    const { '': unlooked, ...broken } = edition.despite;
    const reasons = [...new Set(Object.values(broken))];
    return (
        <>
            <div>
                <b>Edition {edition.number}</b>{' '}
                {state !== 'before' && <span className={`what ${MARKS[state]}`}>{state}</span>}
                <div>{edition.note}</div>
                {state === 'to come' && <div>In force from {when(edition.inForceFrom)}</div>}
                {reasons.length > 0 && (
                    <div className="quiet">Published although an expectation is broken: {reasons.join(' · ')}</div>
                )}
                {unlooked && (
                    <div className="quiet">Published before all that is expected was looked at: {unlooked}</div>
                )}
                <div className="quiet">
                    {when(edition.at)} · checksum {edition.checksum.slice(0, 8)}
                </div>
            </div>
            <Acts
                edition={edition}
                state={state}
                isCompared={isCompared}
                onCompare={() => setIsCompared(!isCompared)}
            />
            {isCompared && <GoingBack edition={edition} />}
        </>
    );
}

function Acts(props: { edition: Edition; state: State; isCompared: boolean; onCompare: () => void }) {
    const { edition, state, isCompared, onCompare } = props;
    const queries = useQueryClient();
    const { message } = App.useApp();
    const told = useWrite();
    const revoke = useRevoke();
    const { change } = useMoment();
    const isDamaged = state === 'damaged';

    const restore = async () => {
        const header = { 'If-Match': `"${draftOf(queries)?.revision ?? 0}"` };
        const params = { path: { number: edition.number }, header };
        const changed = await told(() => ask(api.POST('/api/editions/{number}/restore', { params, body: {} })));
        if (!changed) return;
        patchDraft(queries, changed);
        message.success(`Edition ${edition.number} is back in the draft. Undo takes it out again.`);
    };

    return (
        <span className="buttons">
            <Button
                size="small"
                disabled={isDamaged}
                onClick={() => change({ in: state === 'live' ? 'live' : String(edition.number) })}
            >
                Try calls on it
            </Button>
            <Button size="small" disabled={isDamaged} onClick={restore}>
                Put back into the draft
            </Button>
            {state === 'to come' && (
                <Button size="small" danger onClick={() => revoke(edition.number)}>
                    Take it back
                </Button>
            )}
            {state !== 'live' && (
                <Button size="small" type="text" aria-expanded={isCompared} disabled={isDamaged} onClick={onCompare}>
                    {state === 'to come' ? 'What it changes' : 'What going back changes'}
                </Button>
            )}
        </span>
    );
}

/** What calls would fare differently by this edition; and going back to it, in one act. */
function GoingBack({ edition }: { edition: Edition }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const told = useWrite();
    const again = async () => {
        const params = { path: { number: edition.number } };
        const made = await told(() => ask(api.POST('/api/editions/{number}/again', { params, body: {} })));
        if (!made) return;
        for (const queryKey of [['editions'], ['pending'], ['plan', 'live']])
            await queries.invalidateQueries({ queryKey });
        message.success(`Edition ${made.number} is live: what edition ${edition.number} was. The draft is as it was.`);
    };
    return (
        <>
            <ImpactSection title={`From what is live to edition ${edition.number}`} after={String(edition.number)} />
            <Button size="small" danger onClick={again}>
                Make edition {edition.number} live again
            </Button>
        </>
    );
}

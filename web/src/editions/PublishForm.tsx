import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Radio } from 'antd';
import { useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Pending, Problem } from '../api/types';
import { nowIn } from '../moment/now';
import { usualSite } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { Field } from '../ui/Field';
import { momentWords } from '../ui/when';
import { useEditionsQuery } from './useEditions';

/** Asks again for as long as the server gets on with looking at what is expected. */
async function untilLookedAt<T>(publish: () => Promise<T>, tell: (left: number) => void): Promise<T> {
    for (let left = Number.POSITIVE_INFINITY; ; ) {
        try {
            return await publish();
        } catch (error) {
            const now = error instanceof RefusedError ? error.problem.left : undefined;
            if (now === undefined || now >= left) throw error;
            left = now;
            tell(left);
        }
    }
}

/** Publishes the draft that was looked at: at once, or at a moment to come. */
export function PublishForm({ looked }: { looked: Pending | undefined }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const plan = usePlan();
    const zone = (plan && usualSite(plan)?.zone) ?? 'UTC';
    const newest = useEditionsQuery().data?.pages[0];
    const [note, setNote] = useState('');
    const [despite, setDespite] = useState('');
    const [from, setFrom] = useState<string | null>(null);
    const [refused, setRefused] = useState<Problem>();
    const [isAsked, setIsAsked] = useState(false);
    const [left, setLeft] = useState(0);
    const isNotKept = refused?.expectations !== undefined || refused?.left !== undefined;

    const publish = async () => {
        if (!looked) return;
        setRefused(undefined);
        setIsAsked(true);
        try {
            const header = { 'If-Match': `"${looked.revision}"` };
            const body = { note, ...(despite ? { despite } : {}), ...(from ? { from, zone } : {}) };
            const edition = await untilLookedAt(
                () => ask(api.POST('/api/editions', { params: { header }, body })),
                setLeft,
            );
            setNote('');
            setDespite('');
            setFrom(null);
            for (const queryKey of [['editions'], ['pending'], ['plan', 'live']])
                await queries.invalidateQueries({ queryKey });
            message.success(
                from
                    ? `Edition ${edition.number} comes into force on ${momentWords(from, '')}.`
                    : `Edition ${edition.number} is live.`,
            );
        } catch (error) {
            const problem = error instanceof RefusedError ? error.problem : undefined;
            setRefused(problem ?? { type: '', title: '', status: 0, detail: String(error) });
            if (problem?.status === 412)
                for (const queryKey of [['plan', 'draft'], ['pending'], ['findings'], ['recordings']])
                    queries.invalidateQueries({ queryKey });
        }
        setIsAsked(false);
        setLeft(0);
    };
    const at = (pointer: string) => refused?.errors?.find((one) => one.pointer === pointer);
    const said =
        refused?.status === 412
            ? 'The draft was changed meanwhile. What publishing changes is listed anew: look again.'
            : at('/note')
              ? 'Write a note: what is new for callers?'
              : refused && !refused.errors && !isNotKept
                ? refused.detail
                : undefined;
    return (
        <>
            <Field label="Note" hint="What is new for callers?" error={said} wide>
                {(a11y) => (
                    <Input.TextArea {...a11y} rows={2} value={note} onChange={(event) => setNote(event.target.value)} />
                )}
            </Field>
            {(isNotKept || despite !== '') && (
                <Field
                    label="Why it is published all the same"
                    hint="It is kept with the edition"
                    error={isNotKept ? refused?.detail : undefined}
                    wide
                >
                    {(a11y) => (
                        <Input.TextArea
                            {...a11y}
                            rows={2}
                            value={despite}
                            onChange={(event) => setDespite(event.target.value)}
                        />
                    )}
                </Field>
            )}
            <div className="line-row wrap">
                <Radio.Group
                    aria-label="When"
                    value={from === null ? 'now' : 'then'}
                    options={[
                        { value: 'now', label: 'at once' },
                        { value: 'then', label: 'at a moment to come' },
                    ]}
                    onChange={(event) =>
                        setFrom(event.target.value === 'now' ? null : `${nowIn(zone).slice(0, 10)}T23:59`)
                    }
                />
                {from !== null && (
                    <>
                        <Input
                            aria-label="In force from"
                            type="datetime-local"
                            style={{ width: 210 }}
                            status={at('/from') ? 'error' : ''}
                            value={from}
                            onChange={(event) => setFrom(event.target.value)}
                        />
                        <span className="quiet">{zone}</span>
                        {at('/from') && (
                            <span className="alarm" role="alert">
                                {at('/from')?.detail} {at('/from')?.remedy}
                            </span>
                        )}
                    </>
                )}
            </div>
            {newest?.next && (
                <p className="quiet">
                    Edition {newest.next.number} comes into force on{' '}
                    {new Date(newest.next.from).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}:
                    what is published at once is live until then.
                </p>
            )}
            {left > 0 && (
                <p className="quiet" role="status">
                    Looking first at what is expected: {left === 1 ? 'one number is' : `${left} numbers are`} left.
                </p>
            )}
            <Button type="primary" loading={isAsked} onClick={publish} disabled={(looked?.pending ?? []).length === 0}>
                Publish as edition {(newest?.editions[0]?.number ?? 0) + 1}
            </Button>
        </>
    );
}

import { useQuery } from '@tanstack/react-query';
import { Button, Input, Popover } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Finding, Kind, Settings } from '../api/types';
import { nowIn } from '../moment/now';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { useSettings } from '../plan/useSettings';
import { Field } from '../ui/Field';
import { FixButton } from '../ui/Findings';
import { LeftToLook } from '../ui/LeftToLook';
import { LookingThrough } from '../ui/LookingThrough';
import { lookingOn, useAtWork } from '../ui/lookingOn';
import { dateWords } from '../ui/when';

const FIRST = 5;
const USUAL_DAYS = 90;

/** What callers would not want in the draft, the worst first and what is alike together; and what somebody knows of already. */
export function FindingsSection() {
    const params = { path: { which: 'draft' } };
    const { data: now } = useQuery({
        queryKey: ['findings'],
        queryFn: () => ask(api.GET('/api/plans/{which}/findings', { params })),
    });
    const query = useQuery({
        queryKey: ['findings', 'year'],
        queryFn: () => ask(api.GET('/api/plans/{which}/year-findings', { params })),
        refetchInterval: lookingOn(({ left }) => left),
    });
    const isAtWork = useAtWork(query.isFetching);
    const year = query.data;
    const all = [...(year?.findings ?? []), ...(now?.findings ?? [])];
    const told = all.filter((one) => !one.silenced);
    const silenced = all.filter((one) => one.silenced);
    return (
        <section aria-label="Worth a look">
            <h2>Worth a look</h2>
            <LookingThrough what="the coming year" query={query} />
            {year && told.length === 0 && <p className="quiet">Nothing is found that callers would not want.</p>}
            {grouped(told).map((group) => (
                <Group key={group[0]?.code} group={group} />
            ))}
            {year && <LeftToLook left={year.left} of="all numbers" isAtWork={isAtWork} />}
            {silenced.length > 0 && (
                <details className="more">
                    <summary>
                        {silenced.length === 1 ? 'One more is known' : `${silenced.length} more are known`}
                    </summary>
                    <ul className="pending">
                        {silenced.map((one) => (
                            <li key={keyOf(one)}>
                                <Entry finding={one} />{' '}
                                <span className="quiet">
                                    {one.silenced?.reason}, until {dateWords(one.silenced?.until ?? '')}
                                </span>{' '}
                                <TellAgain finding={one} />
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </section>
    );
}

const keyOf = (one: Finding) => one.id + one.pointer + one.detail;

/** What must be mended first, then as they come: the server tells the worst first. */
function grouped(findings: Finding[]): Finding[][] {
    const groups = new Map<string, Finding[]>();
    for (const one of findings) groups.set(one.code, [...(groups.get(one.code) ?? []), one]);
    return [...groups.values()].sort((a, b) => Number(b[0]?.blocks) - Number(a[0]?.blocks));
}

function Group({ group }: { group: Finding[] }) {
    const [isWhole, setIsWhole] = useState(false);
    const shown = isWhole ? group : group.slice(0, FIRST);
    return (
        <ul className="pending">
            {shown.map((one) => (
                <li key={keyOf(one)}>
                    <Entry finding={one} /> {one.remedy} <FixButton fix={one.fix} />{' '}
                    {!one.blocks && <SilenceButton finding={one} />}
                </li>
            ))}
            {group.length > shown.length && (
                <li>
                    <Button size="small" type="text" onClick={() => setIsWhole(true)}>
                        and {group.length - shown.length} more like this
                    </Button>
                </li>
            )}
        </ul>
    );
}

function Entry({ finding }: { finding: Finding }) {
    const { search } = useMoment();
    return (
        <>
            <span className={`what ${finding.blocks ? 'removed' : 'changed'}`}>
                {finding.blocks ? 'must be mended' : 'odd'}
            </span>{' '}
            <Link to={{ pathname: `/${KINDS[finding.kind as Kind].path}/${finding.id}`, search }}>{finding.name}</Link>:{' '}
            {finding.detail}
        </>
    );
}

type Silence = Settings['silences'][number];

/** Changes what nobody wants to read of; the plan keeps it, and an undo takes it back. */
function useSilences() {
    const settings = useSettings();
    return (change: (silences: Silence[]) => Silence[]) =>
        settings.change(({ silences }) => ({ silences: change(silences) }));
}

function SilenceButton({ finding }: { finding: Finding }) {
    const [isOpen, setIsOpen] = useState(false);
    const [reason, setReason] = useState('');
    const [until, setUntil] = useState(() => inDays(USUAL_DAYS));
    const change = useSilences();
    const silence = async () => {
        await change((all) => [
            ...all.filter((one) => one.element !== finding.id || one.code !== finding.code),
            { element: finding.id, code: finding.code, reason: reason.trim(), until },
        ]);
        setIsOpen(false);
    };
    return (
        <Popover
            trigger="click"
            destroyOnHidden
            open={isOpen}
            onOpenChange={setIsOpen}
            content={
                <div role="dialog" aria-label={`Put aside: ${finding.name}`}>
                    <form
                        className="silence"
                        onSubmit={(event) => {
                            event.preventDefault();
                            if (reason.trim() && until) silence();
                        }}
                    >
                        <Field label="Why this may stay" hint="It is told again after the day below" error={undefined}>
                            {(a11y) => (
                                <Input
                                    {...a11y}
                                    autoFocus
                                    value={reason}
                                    onChange={(event) => setReason(event.target.value)}
                                />
                            )}
                        </Field>
                        <Field label="Until" error={undefined}>
                            {(a11y) => (
                                <Input
                                    {...a11y}
                                    type="date"
                                    value={until}
                                    onChange={(event) => setUntil(event.target.value)}
                                />
                            )}
                        </Field>
                        <Button htmlType="submit" size="small" disabled={!reason.trim() || !until}>
                            Put it aside
                        </Button>
                    </form>
                </div>
            }
        >
            <Button size="small" type="text" aria-label={`Put aside: ${finding.name}, ${finding.detail}`}>
                Put aside …
            </Button>
        </Popover>
    );
}

function TellAgain({ finding }: { finding: Finding }) {
    const change = useSilences();
    return (
        <Button
            size="small"
            type="text"
            onClick={() =>
                change((all) => all.filter((one) => one.element !== finding.id || one.code !== finding.code))
            }
        >
            Tell it again
        </Button>
    );
}

function inDays(days: number): string {
    const day = new Date(`${nowIn('UTC').slice(0, 10)}T12:00:00Z`);
    day.setUTCDate(day.getUTCDate() + days);
    return day.toISOString().slice(0, 10);
}

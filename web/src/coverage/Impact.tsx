import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Impact } from '../api/types';
import { allPhones, allPhonesInWords } from '../moment/allPhones';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { LeftToLook } from '../ui/LeftToLook';
import { LookingThrough } from '../ui/LookingThrough';
import { useAtWork } from '../ui/lookingOn';
import { WhateverPhonesDo } from '../ui/WhateverPhonesDo';
import { momentWords } from '../ui/when';
import styles from './impact.module.css';
import { useImpact, useImpactCounted, useImpactInFull } from './useCoverage';

type Changed = Impact['numbers'][number];
type Severity = Changed['changes'][number]['severity'];

const SEVERITIES: Record<Severity, string> = {
    gone: 'gone',
    'nobody any more': 'nobody is reached any more',
    'somebody else': 'somebody else takes it',
    'somebody now': 'somebody is reached now',
    new: 'new',
    details: 'times or words',
};
const LOSSES: Severity[] = ['gone', 'nobody any more'];
const ONLY_IN_ONE: Severity[] = ['gone', 'new'];
const FIRST = 12;
const FIRST_CHANGES = 4;
const NAMES = 6;
const ORDER = Object.keys(SEVERITIES);

const worst = (one: Changed): Severity => one.changes[0]?.severity ?? 'details';
const AND = new Intl.ListFormat('en-GB');
const count = (many: number) => (many === 1 ? 'one number' : `${many} numbers`);

/** One quiet line under the answer: what the draft changes for callers. */
export function ImpactLine() {
    const { moment, search } = useMoment();
    const { data, isPlaceholderData } = useImpactCounted();
    if (moment.in !== 'draft') return null;
    // Its place is kept while it says nothing: what is below must not move under the mouse.
    if (!data || Object.values(data).every((many) => many === 0)) return <p className="impact-line quiet" />;
    const { changed, nobody, gone, left } = data;
    const does = [
        changed + left > 0 && `changes ${left > 0 ? 'at least ' : ''}${count(changed)} for callers`,
        gone > 0 && `takes ${count(gone)} away`,
        data.new > 0 && `adds ${count(data.new)}`,
    ];
    return (
        <p className="impact-line quiet" aria-live="polite" aria-busy={isPlaceholderData}>
            <Link to={{ pathname: '/editions', search }}>
                The draft {AND.format(does.filter((one) => one !== false))}
            </Link>
            {nobody > 0 && <>; on {count(nobody)} nobody is reached any more at times</>}
        </p>
    );
}

/** What another plan changes for callers, number by number, as people say it; the draft where nothing else is said. */
export function ImpactSection({ title, before, after }: { title: string; before?: string; after?: string }) {
    const { data: atOnce, error, isFetching } = useImpact(before, after);
    const isAtWork = useAtWork(isFetching);
    const inFull = useImpactInFull(before, after);
    const data = inFull.data ?? atOnce;
    const [isWhole, setIsWhole] = useState(false);
    const groups = alike(data?.numbers ?? []);
    const shown = isWhole ? groups : groups.slice(0, FIRST);
    return (
        <section aria-label={title}>
            <h2>{title}</h2>
            <LookingThrough what="the coming year" query={{ data, error }} />
            {data && groups.length === 0 && data.left === 0 && (
                <p className="quiet">
                    In the next year no call fares differently, whoever calls and whatever they press, where nobody
                    answers.
                </p>
            )}
            {data && (
                <WhateverPhonesDo
                    inFull={inFull}
                    isDone={inFull.data !== null}
                    button="Look at all numbers whatever phones do"
                    label="How many numbers were looked at"
                />
            )}
            <ul className={styles.groups}>
                {shown.map((group) => (
                    <li key={group[0]?.number}>
                        <Group group={group} />
                    </li>
                ))}
            </ul>
            {groups.length > shown.length && (
                <Button size="small" onClick={() => setIsWhole(true)}>
                    Show {groups.length - shown.length} more
                </Button>
            )}
            {data && <LeftToLook left={data.unlooked} of="the numbers" isAtWork={isAtWork} />}
            {data && data.left > data.unlooked && (
                <p className="quiet">Not looked at in full: {count(data.left - data.unlooked)}. This is not all.</p>
            )}
        </section>
    );
}

/** Numbers that change in the same way are told together. */
function alike(numbers: Changed[]): Changed[][] {
    const groups = new Map<string, Changed[]>();
    for (const number of numbers) {
        const key = JSON.stringify(number.changes);
        groups.set(key, [...(groups.get(key) ?? []), number]);
    }
    const rank = ([first]: Changed[]) => (first ? ORDER.indexOf(worst(first)) : ORDER.length);
    return [...groups.values()].sort((a, b) => rank(a) - rank(b));
}

const names = (all: string[]) =>
    all.length > NAMES
        ? `${all.slice(0, NAMES - 1).join(' · ')} and ${all.length - NAMES + 1} more numbers`
        : all.join(' · ');

/** ", keys 1, then 3", ", from +33…", ", where every phone is busy"; nothing for whoever presses nothing where phones ring on. */
function byWhom({ keys, from, phones }: Changed['changes'][number]): string {
    const pressed = keys.length === 0 ? '' : `, ${keys.length === 1 ? 'key' : 'keys'} ${keys.join(', then ')}`;
    return pressed + (from ? `, from ${from}` : '') + (phones.length > 0 ? `, ${allPhonesInWords(phones)}` : '');
}

function Group({ group }: { group: Changed[] }) {
    const [isWhole, setIsWhole] = useState(false);
    const plan = usePlan();
    const [first] = group;
    if (!first) return null;
    // Of a block, or of all that begin alike, it is told which.
    const isOneOfMany = (one: Changed) => ![undefined, one.number].includes(plan?.get('number', one.id)?.number);
    const shown = isWhole ? first.changes : first.changes.slice(0, FIRST_CHANGES);
    return (
        <>
            <b>{names(group.map((one) => (isOneOfMany(one) ? `${one.name}, ${one.number}` : one.name)))}</b>
            <ul>
                {shown.map((one) => (
                    <li key={one.severity + one.what + one.keys.join() + one.from + one.phones.join()}>
                        <span className={`what ${LOSSES.includes(one.severity) ? 'removed' : 'changed'}`}>
                            {SEVERITIES[one.severity]}
                        </span>{' '}
                        {ONLY_IN_ONE.includes(one.severity) ? one.what : <When change={one} number={first} />}
                    </li>
                ))}
                {first.changes.length > shown.length && (
                    <li>
                        <Button size="small" type="text" onClick={() => setIsWhole(true)}>
                            and {first.changes.length - shown.length} more, by keys, callers and phones
                        </Button>
                    </li>
                )}
            </ul>
        </>
    );
}

/** When it is otherwise, and how; to try. */
function When({ change: one, number }: { change: Changed['changes'][number]; number: Changed }) {
    const { change } = useMoment();
    return (
        <>
            <b>{one.when}</b>
            {byWhom(one)}: {one.what}{' '}
            <Button
                size="small"
                type="text"
                onClick={() =>
                    change({
                        to: number.number,
                        at: one.first.slice(0, 19),
                        keys: one.keys.join(''),
                        from: one.from,
                        phones: one.phones[0] ? allPhones(one.phones[0]) : [],
                    })
                }
                aria-label={`Try ${number.name} on ${momentWords(one.first, '')}`}
            >
                Try it
            </Button>
        </>
    );
}

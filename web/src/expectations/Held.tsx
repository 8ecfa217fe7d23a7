import { Button } from 'antd';
import { useState } from 'react';
import type { HeldExpectation } from '../api/types';
import { allPhones, allPhonesInWords } from '../moment/allPhones';
import { NO_ACTS } from '../moment/trialCall';
import { useMoment } from '../moment/useMoment';
import { LeftToLook } from '../ui/LeftToLook';
import { type InFull, WhateverPhonesDo } from '../ui/WhateverPhonesDo';
import { momentWords } from '../ui/when';
import styles from './expectations.module.css';

type Breach = HeldExpectation['breaches'][number];

/** What became of a promise: kept, or every way in which it is not. */
export function Held({ held, inFull, isAtWork }: { held: HeldExpectation; inFull: InFull; isAtWork: boolean }) {
    return (
        <section aria-label="What became of it" aria-live="polite">
            <h2>{isAtWork && held.state === 'not looked at' ? 'Being looked at' : TITLES[held.state]}</h2>
            {held.state === 'never due' && (
                <p className="quiet">No call that it names comes in the next year: look at its numbers and times.</p>
            )}
            {!held.isComplete && (
                <p className="quiet">
                    Callers may press more than was tried: not every sequence of keys was looked at.
                </p>
            )}
            {held.phones !== 'no matter' && (
                <WhateverPhonesDo
                    inFull={inFull}
                    isDone={held.phones !== 'ring on'}
                    button="Hold all expectations whatever phones do"
                    label="How much was looked at"
                />
            )}
            <LeftToLook left={held.left} of="its numbers" isAtWork={isAtWork} />
            <ol className={styles.breaches}>
                {held.breaches.map((one) => (
                    <li key={one.numbers[0]?.number + one.keys.join() + one.caller + one.phones + one.what + one.when}>
                        <BreachEntry breach={one} />
                    </li>
                ))}
            </ol>
            {held.ways > held.breaches.length && (
                <p className="quiet">and in {held.ways - held.breaches.length} more ways</p>
            )}
        </section>
    );
}

const TITLES: Record<HeldExpectation['state'], string> = {
    kept: 'Kept at every moment of the coming year',
    broken: 'Broken',
    'never due': 'Never due',
    'not looked at': 'Not looked at in time',
};

function BreachEntry({ breach }: { breach: Breach }) {
    const { change } = useMoment();
    const [isOpen, setIsOpen] = useState(false);
    const [number] = breach.numbers;
    const names =
        breach.numbers.map((one) => one.name).join(' · ') + (breach.more > 0 ? ` and ${breach.more} more` : '');
    const ways = orWords([breach.keys, ...(breach.alsoKeys ?? [])].map(keyWords));
    const go = (at: string) =>
        change({
            ...NO_ACTS,
            to: number?.number ?? '',
            from: breach.caller,
            at: at.slice(0, 19),
            keys: breach.keys.join(''),
            phones: breach.phones ? allPhones(breach.phones) : [],
        });
    return (
        <>
            <b>{names}</b>
            {ways !== NOTHING && <span className="quiet"> · {ways}</span>}
            {breach.phones && <span className="quiet"> · {allPhonesInWords([breach.phones])}</span>}
            <p>
                <b>{breach.when}</b>: {breach.what}
            </p>
            <span className="buttons">
                <Button
                    size="small"
                    onClick={() => go(breach.intervals[0]?.[0] ?? '')}
                    aria-label={`Try the first call to ${names}`}
                >
                    Try the first
                </Button>
                {breach.count > 1 && (
                    <Button size="small" type="text" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
                        All {breach.count} times
                    </Button>
                )}
            </span>
            {isOpen && (
                <ul className={styles.times}>
                    {breach.intervals.map(([since = '', until = '']) => (
                        <li key={since}>
                            <button type="button" onClick={() => go(since)}>
                                {momentWords(since, '')}
                            </button>{' '}
                            <span className="quiet">until {momentWords(until, '')}</span>
                        </li>
                    ))}
                    {breach.count > breach.intervals.length && (
                        <li className="quiet">and {breach.count - breach.intervals.length} more</li>
                    )}
                </ul>
            )}
        </>
    );
}

const NOTHING = 'nothing pressed';

function keyWords(keys: string[]) {
    if (keys.length === 0) return NOTHING;
    return keys.length === 1 ? `key ${keys[0]}` : `keys ${keys.join(' then ')}`;
}

const orWords = (ways: string[]) => new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(ways);

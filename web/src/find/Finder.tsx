import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { useCalm } from '../ui/useCalm';
import styles from './find.module.css';
import { foundIn } from './foundIn';

interface Choice {
    key: string;
    path: string;
    hash: string;
    content: ReactNode;
}

interface Props {
    onGo: () => void;
    /** What was typed before the field was there. */
    ahead: () => string;
    /** Asks for other words in the place of these. */
    onReword: (words: string) => void;
}

/** A field, and under it what is found: arrows choose, Enter goes there. */
export function Finder({ onGo, ahead, onReword }: Props) {
    const { moment, search } = useMoment();
    const plan = usePlan();
    const navigate = useNavigate();
    const list = useId();
    const [typed, setTyped] = useState('');
    const [chosen, setChosen] = useState(0);
    const { worded, more: moreWorded } = useWorded(typed);
    const { found, more } = plan ? foundIn(plan, typed) : { found: [], more: 0 };

    const named = found.map(
        ({ key, name, what, path }): Choice => ({
            key,
            path,
            hash: '',
            content: (
                <>
                    {name} <span className="quiet">{what}</span>
                </>
            ),
        }),
    );
    const choices = [...named, ...worded];
    const at = Math.min(chosen, choices.length - 1);

    const go = (one: Choice | undefined) => {
        if (!one) return;
        onGo();
        navigate({ pathname: one.path, search, hash: one.hash });
    };
    const onKeyDown = (event: KeyboardEvent) => {
        const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
        const step = steps[event.key];
        if (event.key === 'Enter') go(choices[at]);
        else if (step && choices.length > 0) {
            event.preventDefault();
            const next = (at + step + choices.length) % choices.length;
            setChosen(next);
            document.getElementById(`${list}${next}`)?.scrollIntoView({ block: 'nearest' });
        }
    };
    const options = (some: Choice[], before: number) =>
        some.map((one, i) => (
            // biome-ignore lint/a11y/useKeyWithClickEvents: the keyboard stays in the field
            <div
                key={one.key}
                id={list + String(before + i)}
                role="option"
                aria-selected={before + i === at}
                className={styles.option}
                onMouseMove={() => setChosen(before + i)}
                onClick={() => go(one)}
            >
                {one.content}
            </div>
        ));

    return (
        <>
            <Input
                autoFocus
                role="combobox"
                aria-label="Find"
                aria-expanded={choices.length > 0}
                aria-controls={list}
                aria-autocomplete="list"
                aria-activedescendant={choices.length > 0 ? `${list}${at}` : undefined}
                placeholder="A name, a number, an extension, words that callers hear"
                maxLength={100}
                value={typed}
                onChange={(event) => {
                    setTyped(event.target.value);
                    setChosen(0);
                }}
                onFocus={() => {
                    const early = ahead();
                    setTyped((now) => early + now);
                }}
                onKeyDown={onKeyDown}
            />
            <div id={list} role="listbox" aria-label="What is found" className={styles.found}>
                {options(named, 0)}
                {worded.length > 0 && (
                    <div role="group" aria-label="Where these words stand">
                        <div role="presentation" className={styles.heading}>
                            Where these words stand
                        </div>
                        {options(worded, named.length)}
                    </div>
                )}
            </div>
            {typed.trim().length >= LEAST && moment.in === 'draft' && choices.length > 0 && (
                <Button type="text" size="small" onClick={() => onReword(typed.trim())}>
                    Other words in the place of these …
                </Button>
            )}
            <p role="status" className="quiet">
                {typed.trim() !== '' && choices.length === 0 && 'Nothing is called so, or says so.'}
                {(more > 0 || moreWorded) && 'There is more: type more of it.'}
                {typed.trim() !== '' &&
                    moment.in !== 'draft' &&
                    ' What is said and noted is looked for in the draft only.'}
            </p>
        </>
    );
}

const LEAST = 3;

/** Places of the draft where the words stand that are typed. */
function useWorded(typed: string): { worded: Choice[]; more: boolean } {
    const { moment } = useMoment();
    const stamp = usePlan()?.stamp;
    const words = useCalm(typed.trim(), 200);
    const isEnough = words.length >= LEAST && typed.trim().length >= LEAST && moment.in === 'draft';
    const { data } = useQuery({
        queryKey: ['worded', words, stamp],
        queryFn: () => ask(api.GET('/api/plans/draft/worded', { params: { query: { words } } })),
        enabled: isEnough,
        placeholderData: keepPreviousData,
    });
    if (!isEnough || !data) return { worded: [], more: false };
    return {
        more: data.more,
        worded: data.places.map((place) => ({
            key: place.id + place.pointer,
            path: `/${KINDS[place.kind as Kind].path}/${place.id}`,
            hash: place.step ?? '',
            content: (
                <>
                    {place.name} <span className="quiet">{KINDS[place.kind as Kind].one}</span>
                    <span className={styles.excerpt}>
                        {place.before}
                        <mark>{place.match}</mark>
                        {place.after}
                    </span>
                </>
            ),
        })),
    };
}

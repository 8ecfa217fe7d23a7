import { Button, Input } from 'antd';
import { useEffect, useId, useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Band, Day, State, WeekBand } from '../api/types';
import { daysInWords, typed } from './bands';

interface Entry {
    days: Day[];
    bands: Band[];
}

/** What is typed is read on the server while it is typed, and taken over with Enter. */
function useReading(text: string, states: State[], daysNamed: boolean) {
    const [entries, setEntries] = useState<Entry[]>([]);
    const [problem, setProblem] = useState<string>();
    const known = JSON.stringify(states);
    useEffect(() => {
        setProblem(undefined);
        if (!text.trim()) {
            setEntries([]);
            return;
        }
        let late = false;
        const timer = setTimeout(async () => {
            try {
                const found = await ask(
                    api.POST('/api/week-text', { body: { text, states: JSON.parse(known) as State[], daysNamed } }),
                );
                if (!late) setEntries(found.entries as Entry[]);
            } catch (error) {
                if (late) return;
                setEntries([]);
                const first = error instanceof RefusedError ? error.problem.errors?.[0]?.detail : undefined;
                setProblem(first ?? (error instanceof Error ? error.message : String(error)));
            }
        }, 120);
        return () => {
            late = true;
            clearTimeout(timer);
        };
    }, [text, known, daysNamed]);
    return { entries, problem };
}

/** Bands of a week as people type them: mo-fr 9-12, 13-17:30 open. */
export function WeekText({
    states,
    week,
    fallback,
    onChange,
}: {
    states: State[];
    week: WeekBand[];
    /** The state that is meant where none is typed. */
    fallback: string;
    onChange: (week: WeekBand[]) => void;
}) {
    const id = useId();
    const [text, setText] = useState('');
    const [wanted, setWanted] = useState(false);
    const ordered = states.toSorted((a, b) => Number(b.key === fallback) - Number(a.key === fallback));
    const { entries, problem } = useReading(text, ordered, true);

    // Enter may come before the answer: then it is taken over when the answer is there.
    useEffect(() => {
        if (!wanted || entries.length === 0) return;
        onChange(typed(week, entries));
        setText('');
        setWanted(false);
    }, [wanted, entries, week, onChange]);

    const names = new Map(states.map((one) => [one.key, one.name]));
    return (
        <div className="week-text">
            <label htmlFor={id}>Type it</label>
            <Input
                id={id}
                size="small"
                placeholder="mo-fr 9-12, 13-17:30 open; sa 9-12:30"
                value={text}
                aria-describedby={`${id}-about`}
                onChange={(event) => {
                    setText(event.target.value);
                    setWanted(false);
                }}
                onPressEnter={() => setWanted(true)}
            />
            <Button size="small" disabled={entries.length === 0} onClick={() => setWanted(true)}>
                Set
            </Button>
            <p id={`${id}-about`} className={problem && wanted ? 'about alarm' : 'about'} aria-live="polite">
                {problem ??
                    (entries.length > 0
                        ? entries
                              .map(
                                  (entry) =>
                                      `${daysInWords(entry.days)} ${entry.bands.map((band) => `${band.from}–${band.to}`).join(', ')} ${names.get(entry.bands[0]?.state ?? '')}`,
                              )
                              .join('; ')
                        : 'Days, times, a state. It sets those days’ times in that state, and goes over others that it meets.')}
            </p>
        </div>
    );
}

/** Bands of one date as people type them: 9-13 open. */
export function DayText({ states, onSet, label }: { states: State[]; onSet: (bands: Band[]) => void; label: string }) {
    const [text, setText] = useState('');
    const [wanted, setWanted] = useState(false);
    const { entries, problem } = useReading(text, states, false);
    const bands = entries[0]?.bands;
    useEffect(() => {
        if (!wanted || !bands) return;
        onSet(bands);
        setText('');
        setWanted(false);
    }, [wanted, bands, onSet]);
    return (
        <span className="line-row tight">
            <Input
                aria-label={label}
                size="small"
                style={{ width: 150 }}
                placeholder="9-13 open"
                value={text}
                status={problem ? 'error' : ''}
                onChange={(event) => {
                    setText(event.target.value);
                    setWanted(false);
                }}
                onPressEnter={() => setWanted(true)}
            />
            {problem && (
                <span className="alarm" role="alert">
                    {problem}
                </span>
            )}
        </span>
    );
}

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Kind } from '../api/types';
import { useGo, useMoment } from '../moment/useMoment';
import { patchDraft } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { ElementPicker } from '../ui/ElementPicker';
import { Field } from '../ui/Field';
import styles from './patterns.module.css';

/** What people call the patterns, what they do, and how they look as an outline. */
const PATTERNS: Record<string, { title: string; about: string; rows: string[] }> = {
    'open or closed': {
        title: 'Open or closed',
        about: 'Somebody takes the call while it is open; otherwise callers hear so and leave a message.',
        rows: ['Look at hours', '  closed: say, message', 'Ring', 'Message'],
    },
    'menu of three': {
        title: 'A menu with three keys',
        about: 'Callers choose; whoever presses nothing goes on.',
        rows: ['Ask', '  1 · 2 · 3', 'Otherwise'],
    },
    'person then team': {
        title: 'A person, then a team, then a message',
        about: 'The one they know first, then whoever is there.',
        rows: ['Ring the person', 'Ring the team', 'Message'],
    },
    'ring then greet': {
        title: 'Ring first, greet later',
        about: 'The phones ring at once; whoever waits is greeted while they ring on.',
        rows: ['Ring … greet', 'Message'],
    },
    'language choice': {
        title: 'Language choice',
        about: 'A key sets the language; as a part of other journeys, or before one.',
        rows: ['Ask', '  1: language', '  2: language', 'Go on'],
    },
};

const ASKS: Record<string, string> = {
    hours: 'Hours',
    who: 'Who takes calls',
    closed: 'What callers hear when it is closed',
    mailbox: 'Messages go to',
    prompt: 'What asks them',
    one: 'Key 1',
    two: 'Key 2',
    three: 'Key 3',
    otherwise: 'Whoever presses nothing',
    person: 'The person',
    team: 'The team or queue',
    greeting: 'The greeting',
    next: 'Goes on in',
};

/** Starts a journey from a pattern: each asks only for what it needs. */
export function FromPattern() {
    const { moment } = useMoment();
    const [isOpen, setIsOpen] = useState(false);
    if (moment.in !== 'draft') return null;
    return (
        <>
            <Button size="small" onClick={() => setIsOpen(true)}>
                Start from a pattern …
            </Button>
            {isOpen && <PatternDialog onClose={() => setIsOpen(false)} />}
        </>
    );
}

function PatternDialog({ onClose }: { onClose: () => void }) {
    const queries = useQueryClient();
    const told = useWrite();
    const go = useGo();
    const patterns = useQuery({
        queryKey: ['journey-patterns'],
        queryFn: () => ask(api.GET('/api/journey-patterns')),
        staleTime: Number.POSITIVE_INFINITY,
    }).data?.patterns;
    const [chosen, setChosen] = useState('open or closed');
    const [name, setName] = useState('');
    const [answers, setAnswers] = useState<Record<string, string | null>>({});
    const [refused, setRefused] = useState<RefusedError>();
    const [isBusy, setIsBusy] = useState(false);
    const asks = patterns?.find((one) => one.name === chosen)?.asks ?? [];
    const error = (pointer: string) => refused?.problem.errors?.find((one) => one.pointer === pointer)?.detail;
    const make = async () => {
        setIsBusy(true);
        setRefused(undefined);
        const wanted = Object.fromEntries(asks.map(({ key }) => [key, answers[key] ?? null]));
        const body = { pattern: chosen, name, answers: wanted };
        const made = await told(async () => {
            try {
                return await ask(api.POST('/api/plans/draft/journeys', { body }));
            } catch (problem) {
                if (!(problem instanceof RefusedError) || !problem.problem.errors) throw problem;
                setRefused(problem);
                return null;
            }
        });
        setIsBusy(false);
        if (!made) return;
        patchDraft(queries, made);
        onClose();
        go(`/journeys/${made.id}`, { isNew: true });
    };
    return (
        <Modal
            open
            title="Start a journey from a pattern"
            okText="Make the journey"
            okButtonProps={{ loading: isBusy }}
            onOk={make}
            onCancel={onClose}
            width={760}
        >
            <div className={styles.patterns} role="radiogroup" aria-label="Pattern">
                {(patterns ?? []).map((one) => (
                    <label key={one.name} className={one.name === chosen ? styles.chosen : ''}>
                        <input
                            type="radio"
                            name="pattern"
                            checked={one.name === chosen}
                            onChange={() => setChosen(one.name)}
                        />
                        <b>{PATTERNS[one.name]?.title ?? one.name}</b>
                        <span className={styles.outline} aria-hidden="true">
                            {PATTERNS[one.name]?.rows.map((row) => (
                                <span key={row} className={row.startsWith(' ') ? styles.inner : ''}>
                                    {row.trim()}
                                </span>
                            ))}
                        </span>
                    </label>
                ))}
            </div>
            <p className="quiet">{PATTERNS[chosen]?.about}</p>
            <div className="fields">
                <Field label="Name of the journey" error={error('/name')}>
                    {(a11y) => (
                        <Input
                            {...a11y}
                            autoFocus
                            maxLength={200}
                            value={name}
                            onChange={(event) => setName(event.target.value)}
                            onPressEnter={make}
                        />
                    )}
                </Field>
                {asks.map(({ key, kinds, optional }) => (
                    <Field
                        key={key}
                        label={`${ASKS[key] ?? key}${optional ? ' (may be left open)' : ''}`}
                        error={error(`/answers/${key}`)}
                    >
                        {(a11y) => (
                            <ElementPicker
                                id={a11y.id}
                                status={a11y.status}
                                label={ASKS[key] ?? key}
                                kinds={kinds as Kind[]}
                                clearable={optional}
                                value={answers[key] ?? null}
                                onChange={(id) => setAnswers((before) => ({ ...before, [key]: id }))}
                            />
                        )}
                    </Field>
                ))}
            </div>
        </Modal>
    );
}

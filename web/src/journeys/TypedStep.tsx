import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { AutoComplete } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { api, ask } from '../api/client';
import type { Kind, Step } from '../api/types';
import { KINDS, usualSite } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { STEPS } from './steps';
import styles from './typed.module.css';

/** A step that is typed: what it means is said before Enter, and what is not there yet is made then. */
export function TypedStep({
    begun,
    onStep,
    onCancel,
}: {
    begun: string;
    onStep: (step: Step) => void;
    onCancel: () => void;
}) {
    const plan = usePlan();
    const { create } = useEdit();
    const [text, setText] = useState(begun);
    const [isBusy, setIsBusy] = useState(false);
    const box = useRef<HTMLDivElement>(null);
    useEffect(() => {
        setText(begun);
        if (begun) box.current?.querySelector('input')?.focus();
    }, [begun]);
    const country = (plan && usualSite(plan)?.country) ?? 'GB';
    const read = useQuery({
        queryKey: ['typed-step', text, country, plan?.stamp],
        queryFn: () => ask(api.POST('/api/typed-steps', { body: { text, country } })),
        enabled: text.trim() !== '',
        placeholderData: keepPreviousData,
    });
    const typed = text.trim() === '' ? undefined : read.data;
    const insert = async () => {
        // What is on screen may be of the line before the last letter.
        const now = await ask(api.POST('/api/typed-steps', { body: { text, country } }));
        if (!now.step || !plan) return;
        setIsBusy(true);
        const step = await withMade(now, (kind, name) => create(kind, name, plan)).finally(() => setIsBusy(false));
        if (step) onStep(step);
    };
    const made = typed?.made.map((one) => `${KINDS[one.kind as Kind].aNew} “${one.name}”`) ?? [];
    return (
        <div className={styles.typed} ref={box}>
            <AutoComplete
                aria-label="Type a step"
                className={styles.line}
                placeholder="or type it: ring Bookings desk 25s"
                value={text}
                disabled={isBusy}
                options={(typed?.offers ?? []).map((line) => ({ value: line.replace(/…$/, '') }))}
                defaultActiveFirstOption={false}
                onChange={setText}
                onKeyDown={(event) => {
                    event.stopPropagation();
                    if (event.key === 'Escape') onCancel();
                    // A line that is chosen from the list is taken over first.
                    if (event.key === 'Enter' && !box.current?.querySelector('[aria-activedescendant$="_active"]'))
                        insert();
                }}
            />
            <span role="status" className={typed?.problem ? 'alarm' : 'quiet'}>
                {typed?.problem
                    ? `${typed.problem}${typed.at > 0 && typed.at < text.length ? ` After “${text.slice(0, typed.at).trim()}”.` : ''}`
                    : made.length > 0
                      ? `Enter inserts it, and makes ${made.join(' and ')}`
                      : typed?.step
                        ? 'Enter inserts it'
                        : ''}
            </span>
        </div>
    );
}

/** With everything that the line does not say, as it is usual; ids come when it is inserted. */
function whole(step: Step): Step {
    const blank = STEPS[step.do].blank('new');
    const exits = 'exits' in step ? step.exits : undefined;
    return {
        ...blank,
        ...step,
        ...(exits ? { exits: exits.map((exit) => ({ ...exit, steps: exit.steps.map(whole) })) } : {}),
        id: 'new',
    } as Step;
}

type Made = { kind: string; name: string };

/** The step with what is made for it, or nothing where that could not be made. */
async function withMade(
    typed: { step: unknown; made: Made[] },
    create: (kind: Kind, name: string) => Promise<string | null>,
): Promise<Step | null> {
    let step = JSON.stringify(typed.step);
    for (const [i, one] of typed.made.entries()) {
        const id = await create(one.kind as Kind, one.name);
        if (!id) return null;
        step = step.replaceAll(`"new:${i}"`, JSON.stringify(id));
    }
    return whole(JSON.parse(step));
}

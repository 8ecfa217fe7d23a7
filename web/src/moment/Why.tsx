import { Button, Popover } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { HoursState, Trace } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { keyNote, useSingleKey, useSingleKeys } from '../ui/singleKeys';
import { momentWords } from '../ui/when';
import { useHoursStates } from './useAnswer';
import { useMoment } from './useMoment';

/** From any screen: why hours are in their states at this moment, until when, and what comes next. */
export function Why({ trace }: { trace: Trace }) {
    const [open, setOpen] = useState(false);
    useSingleKey('why', () => setOpen((is) => !is));
    const { why } = useSingleKeys();
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => event.key === 'Escape' && setOpen(false);
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, []);
    return (
        <Popover
            trigger="click"
            placement="bottomRight"
            open={open}
            onOpenChange={setOpen}
            destroyOnHidden
            content={<Reasons trace={trace} />}
        >
            <Button
                size="small"
                type="text"
                aria-expanded={open}
                title={`Why the hours are as they are${keyNote(why)}`}
            >
                Why?
            </Button>
        </Popover>
    );
}

function Reasons({ trace }: { trace: Trace }) {
    const states = useHoursStates() ?? {};
    const plan = usePlan();
    const { search } = useMoment();
    const looked = trace.events.flatMap<string>((event) => {
        const { hours } = event.what as { hours?: unknown };
        return typeof hours === 'string' ? [hours] : [];
    });
    const asked = [...new Set(looked)];
    const others = Object.keys(states).filter((id) => !asked.includes(id));
    const row = (id: string, now: HoursState | undefined) => {
        const hours = plan?.get('hours', id);
        const name = (key: string) => hours?.states.find((one) => one.key === key)?.name ?? key;
        return hours && now ? (
            <li key={id}>
                <Link to={{ pathname: `/hours/${id}`, search }}>{hours.name}</Link>{' '}
                <span className={`state ${now.open ? 'open' : 'shut'}`}>{name(now.state)}</span>
                <p>
                    {now.reason}
                    {now.next && (
                        <span className="quiet">
                            {' '}
                            Then {name(now.next.state)}, {momentWords(now.next.at, now.local)}.
                        </span>
                    )}
                </p>
            </li>
        ) : null;
    };
    return (
        <section className="reasons" aria-label="Why">
            <h2>Hours that this call looks at</h2>
            {asked.length === 0 && <p className="quiet">None: it fares the same at any time.</p>}
            <ul className="plain">{asked.map((id) => row(id, states[id]))}</ul>
            {others.length > 0 && (
                <details>
                    <summary>Other hours ({others.length})</summary>
                    <ul className="plain">{others.slice(0, 40).map((id) => row(id, states[id]))}</ul>
                </details>
            )}
            <Link to={{ pathname: '/open-now', search }}>All hours on one board</Link>
        </section>
    );
}

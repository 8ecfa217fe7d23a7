import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useMoment } from '../moment/useMoment';
import { useEditionsQuery, useRevoke } from './useEditions';

/** Milliseconds that a browser can wait for; whoever looks at the screen for longer has looked at another one meanwhile. */
const LONGEST_TIMER = 2 ** 31 - 1;

/** What comes into force next, on every screen. */
export function ToCome() {
    const next = useEditionsQuery().data?.pages[0]?.next;
    const { search } = useMoment();
    const revoke = useRevoke();
    const queries = useQueryClient();
    const from = next?.from;
    useEffect(() => {
        const wait = from ? new Date(from).getTime() - Date.now() : 0;
        if (wait <= 0 || wait > LONGEST_TIMER) return;
        const timer = setTimeout(() => {
            for (const queryKey of [['editions'], ['pending'], ['plan', 'live']])
                queries.invalidateQueries({ queryKey });
        }, wait + 500);
        return () => clearTimeout(timer);
    }, [from, queries]);
    if (!next) return null;
    return (
        <section className="to-come" aria-label="To come">
            <span>
                <Link to={{ pathname: '/editions', search }}>Edition {next.number}</Link> comes into force on{' '}
                <b>{new Date(next.from).toLocaleString('en-GB', { dateStyle: 'full', timeStyle: 'short' })}</b>. Calls
                after that, tried on what is live, are routed by it.
            </span>
            <Button size="small" onClick={() => revoke(next.number)}>
                Take it back
            </Button>
        </section>
    );
}

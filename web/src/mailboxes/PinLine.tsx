import { useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useRef, useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Mailbox } from '../api/types';
import { useWrite } from '../plan/writes';
import { Line } from '../queues/Line';

const PINS = ['pins'];

/** The PIN takes effect at once, and is never shown again. */
export function PinLine({ mailbox }: { mailbox: Mailbox }) {
    const queries = useQueryClient();
    const told = useWrite();
    const { message } = App.useApp();
    const [pin, setPin] = useState<string>();
    const [refused, setRefused] = useState<string>();
    const begin = useRef<HTMLButtonElement>(null);
    /** The keyboard goes back to where it came from. */
    const close = () => {
        setPin(undefined);
        setRefused(undefined);
        setTimeout(() => begin.current?.focus());
    };
    const mailboxes = useQuery({ queryKey: PINS, queryFn: () => ask(api.GET('/api/pins')) }).data?.mailboxes;
    const has = mailboxes?.includes(mailbox.id) ?? false;
    const set = async (next: string | null) => {
        const params = { path: { mailbox: mailbox.id } };
        const list = await told(async () => {
            try {
                return await ask(api.PUT('/api/pins/{mailbox}', { params, body: { pin: next } }));
            } catch (error) {
                if (!(error instanceof RefusedError) || !error.problem.errors?.[0]) throw error;
                const { detail, remedy } = error.problem.errors[0];
                setRefused(`${detail} ${remedy}`);
                return null;
            }
        });
        if (!list) return;
        queries.setQueryData(PINS, list);
        close();
        message.success(next === null ? 'The PIN is taken away.' : 'The PIN is set. Nobody can look it up.');
    };
    return (
        <Line error={refused}>
            <span>{has ? 'A PIN protects it.' : 'No PIN protects it.'}</span>
            {pin === undefined ? (
                <Button ref={begin} size="small" onClick={() => setPin('')}>
                    {has ? 'Set another PIN …' : 'Set a PIN …'}
                </Button>
            ) : (
                <>
                    <Input.Password
                        aria-label="New PIN"
                        autoComplete="new-password"
                        inputMode="numeric"
                        autoFocus
                        style={{ width: 150 }}
                        maxLength={10}
                        value={pin}
                        onChange={(event) => setPin(event.target.value)}
                        onPressEnter={() => set(pin)}
                    />
                    <Button size="small" type="primary" onClick={() => set(pin)}>
                        Set it
                    </Button>
                    <Button size="small" onClick={close}>
                        Leave it
                    </Button>
                </>
            )}
            {has && pin === undefined && (
                <Button size="small" onClick={() => set(null)}>
                    Take it away
                </Button>
            )}
            <span className="quiet">Takes effect at once, without publishing.</span>
        </Line>
    );
}

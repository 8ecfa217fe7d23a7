import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { toTrialCall } from '../moment/trialCall';
import { useMoment } from '../moment/useMoment';

/** Puts the e-mails that the trial call sends into the outbox, where they can be read. */
export function SendButton() {
    const { moment, search } = useMoment();
    const queries = useQueryClient();
    const send = useMutation({
        mutationFn: () => ask(api.POST('/api/outbox', { body: toTrialCall(moment) })),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['outbox'] }),
    });
    return (
        <span className="line-row tight">
            <Button size="small" loading={send.isPending} onClick={() => send.mutate()}>
                Put the e-mail into the outbox
            </Button>
            <span role="status">
                {send.isSuccess && (
                    <>
                        It is in the <Link to={{ pathname: '/outbox', search }}>outbox</Link>.
                    </>
                )}
            </span>
        </span>
    );
}

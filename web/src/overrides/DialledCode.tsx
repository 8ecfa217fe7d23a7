import { App } from 'antd';
import type { Override, SignInState, Trace } from '../api/types';
import { useSignIns } from '../queues/useSignIns';
import { ActButton } from '../ui/ActButton';
import { useForce, useOverrides } from './useOverrides';

/** A trial call that dials a code only tells what the code does; this does it. */
export function DialledCode({ trace }: { trace: Trace }) {
    const event = trace.events.find((one) => one.kind === 'code dialled');
    if (!event) return null;
    return 'queue' in event.what ? (
        <SignInCode what={event.what as unknown as SignInWhat} trace={trace} />
    ) : (
        <ForceCode trace={trace} />
    );
}

interface SignInWhat {
    queue: string;
    signIn: SignInState;
    who: string | null;
}

function SignInCode({ what: { queue, signIn, who }, trace }: { what: SignInWhat; trace: Trace }) {
    const { set } = useSignIns();
    if (who === null) return null;
    return <DoIt act={() => set(queue, who, signIn, `Code ${trace.call.to} dialled`)} />;
}

function DoIt({ act }: { act: () => Promise<unknown> }) {
    return <ActButton act={act}>Do it now, not only on trial</ActButton>;
}

function ForceCode({ trace }: { trace: Trace }) {
    const { force, lift } = useForce();
    const { on } = useOverrides();
    const { message } = App.useApp();
    const event = trace.events.find((one) => one.kind === 'code dialled');
    const { hours, state, ends, allowed } = (event?.what ?? {}) as Record<string, unknown>;
    if (!event || !allowed || typeof hours !== 'string') return null;
    const forced = on.find((one) => one.hours === hours);
    const act = async () => {
        if (typeof state === 'string')
            await force({
                hours,
                state,
                reason: `Code ${trace.call.to} dialled from ${trace.call.from}`,
                ends: ends as Override['ends'],
            });
        else if (forced) await lift(forced.id);
        else message.info('Nothing is forced there now.');
    };
    return <DoIt act={act} />;
}

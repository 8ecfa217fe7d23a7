import { App, Button } from 'antd';
import { RefusedError } from '../api/client';
import type { Override, Trace } from '../api/types';
import { useForce, useOverrides } from './useOverrides';

/** A trial call that dials a code only tells what the code does; this does it. */
export function DialledCode({ trace }: { trace: Trace }) {
    const { force, lift } = useForce();
    const { on } = useOverrides();
    const { message } = App.useApp();
    const event = trace.events.find((one) => one.kind === 'code dialled');
    const { hours, state, ends, allowed } = (event?.what ?? {}) as Record<string, unknown>;
    if (!event || !allowed || typeof hours !== 'string') return null;
    const forced = on.find((one) => one.hours === hours);
    const act = async () => {
        try {
            if (typeof state === 'string')
                await force({
                    hours,
                    state,
                    reason: `Code ${trace.call.to} dialled from ${trace.call.from}`,
                    ends: ends as Override['ends'],
                });
            else if (forced) await lift(forced.id);
            else message.info('Nothing is forced there now.');
        } catch (error) {
            message.error(error instanceof RefusedError ? error.problem.detail : String(error));
        }
    };
    return (
        <Button size="small" onClick={act}>
            Do it now, not only on trial
        </Button>
    );
}

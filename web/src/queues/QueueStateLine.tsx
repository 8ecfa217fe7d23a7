import { Button } from 'antd';
import type { Queue } from '../api/types';
import { type AssumedQueue, useMoment } from '../moment/useMoment';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';

/** How a queue stands when the call of the bar comes to it, in one line. With nothing stated nobody is free. */
export function QueueStateLine({ queue }: { queue: Queue }) {
    const { moment, change } = useMoment();
    const state = moment.queues[queue.id];
    const set = (part: Partial<AssumedQueue>) =>
        change(({ queues }) => ({
            queues: { ...queues, [queue.id]: { ahead: 0, free: null, leaves: null, ...queues[queue.id], ...part } },
        }));
    const clear = () => change(({ queues: { [queue.id]: _, ...others } }) => ({ queues: others }));
    return (
        <div className="line-row wrap">
            <NumberInput
                label={`Callers ahead in ${queue.name}`}
                unit="ahead, the next agent is free after"
                min={0}
                max={500}
                value={state?.ahead ?? 0}
                onSave={(ahead) => set({ ahead })}
            />
            <OptionalNumberInput
                label={`Seconds until an agent of ${queue.name} is free`}
                open="never"
                unit="s"
                min={0}
                max={86400}
                value={state?.free ?? null}
                onSave={(free) => set({ free })}
            />
            {queue.waiting.leaveKey && (
                <>
                    <span>and the caller presses {queue.waiting.leaveKey} after</span>
                    <OptionalNumberInput
                        label={`Seconds until the caller leaves ${queue.name}`}
                        open="never"
                        unit="s"
                        min={0}
                        max={86400}
                        value={state?.leaves ?? null}
                        onSave={(leaves) => set({ leaves })}
                    />
                </>
            )}
            {state && (
                <Button size="small" type="text" onClick={clear}>
                    Nothing stated
                </Button>
            )}
        </div>
    );
}

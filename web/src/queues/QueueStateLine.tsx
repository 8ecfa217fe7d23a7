import { Button } from 'antd';
import type { Queue } from '../api/types';
import { type AssumedQueue, NOTHING_STATED } from '../moment/moment';
import { useMoment } from '../moment/useMoment';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { without } from '../ui/without';

const MOST_CALLERS = 500;
const A_DAY = 86400;

/** How a queue stands when the call of the bar comes to it, in one line. With nothing stated nobody is free. */
export function QueueStateLine({ queue }: { queue: Queue }) {
    const { moment, change } = useMoment();
    const state = moment.queues[queue.id];
    const shown = state ?? NOTHING_STATED;
    const set = (part: Partial<AssumedQueue>) =>
        change(({ queues }) => ({
            queues: { ...queues, [queue.id]: { ...NOTHING_STATED, ...queues[queue.id], ...part } },
        }));
    const clear = () => change(({ queues }) => ({ queues: without(queues, queue.id) }));
    const callers = (label: string, unit: string, field: 'ahead' | 'urgentAhead' | 'canWaitAhead') => (
        <NumberInput
            label={`${label} in ${queue.name}`}
            unit={unit}
            min={0}
            max={MOST_CALLERS}
            value={shown[field]}
            onSave={(count) => set({ [field]: count })}
        />
    );
    const seconds = (label: string, unit: string, field: 'free' | 'leaves' | 'keeps' | 'picksUp', max = A_DAY) => (
        <OptionalNumberInput
            label={label}
            open="never"
            unit={unit}
            min={0}
            max={max}
            value={shown[field]}
            onSave={(value) => set({ [field]: value })}
        />
    );
    return (
        <>
            <div className="line-row wrap">
                {callers('Callers ahead', 'ahead, the next agent is free after', 'ahead')}
                {seconds(`Seconds until an agent of ${queue.name} is free`, 's', 'free')}
                {queue.waiting.leaveKey && (
                    <>
                        <span>and the caller presses {queue.waiting.leaveKey} after</span>
                        {seconds(`Seconds until the caller leaves ${queue.name}`, 's', 'leaves')}
                    </>
                )}
                {state && (
                    <Button size="small" type="text" onClick={clear}>
                        Nothing stated
                    </Button>
                )}
            </div>
            {state && (
                <div className="line-row wrap">
                    {callers('Urgent callers ahead', 'urgent callers ahead,', 'urgentAhead')}
                    {callers('Callers ahead who can wait', 'who can wait', 'canWaitAhead')}
                </div>
            )}
            {queue.callback && (
                <div className="line-row wrap">
                    {queue.callback.offer.key && (
                        <>
                            <span>The caller presses {queue.callback.offer.key} to keep the place after</span>
                            {seconds(`Seconds until the caller keeps the place in ${queue.name}`, 's,', 'keeps')}
                        </>
                    )}
                    <span>and takes the call back after</span>
                    {seconds(
                        `Seconds until the caller takes the call back of ${queue.name}`,
                        's, at try',
                        'picksUp',
                        120,
                    )}
                    <NumberInput
                        label={`At which call back of ${queue.name}`}
                        unit=""
                        min={1}
                        max={9}
                        value={shown.onTry}
                        onSave={(onTry) => set({ onTry })}
                    />
                </div>
            )}
        </>
    );
}

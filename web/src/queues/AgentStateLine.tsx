import { Button, Checkbox } from 'antd';
import type { AssumedAgent } from '../moment/moment';
import { useMoment } from '../moment/useMoment';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { without } from '../ui/without';

const FREE: AssumedAgent = { signedIn: true, freeAfter: 0, idle: 0, calls: 0, talk: 0 };

/** How an agent is assumed to stand when the trial call begins; with nothing stated the queue's line decides. */
export function useAssumedAgent(queue: string, who: string) {
    const { moment, change } = useMoment();
    const key = `${queue}/${who}`;
    const set = (part: Partial<AssumedAgent>) =>
        change(({ agents }) => ({ agents: { ...agents, [key]: { ...FREE, ...agents[key], ...part } } }));
    const clear = () => change(({ agents }) => ({ agents: without(agents, key) }));
    return { state: moment.agents[key], set, clear };
}

export function AgentStateLine({
    name,
    state,
    set,
    clear,
}: {
    name: string;
    state: AssumedAgent;
    set: (part: Partial<AssumedAgent>) => void;
    clear: () => void;
}) {
    const figure = (label: string, unit: string, field: 'idle' | 'calls' | 'talk', max: number) => (
        <NumberInput
            label={`${label} of ${name}`}
            unit={unit}
            min={0}
            max={max}
            value={state[field]}
            onSave={(value) => set({ [field]: value })}
        />
    );
    return (
        <div className="line-row wrap agent-state">
            <Checkbox checked={state.signedIn} onChange={(event) => set({ signedIn: event.target.checked })}>
                signed in
            </Checkbox>
            {state.signedIn && (
                <>
                    <span>free after</span>
                    <OptionalNumberInput
                        label={`Seconds until ${name} is free`}
                        open="a call without end"
                        unit="s, idle for"
                        min={0}
                        max={86400}
                        value={state.freeAfter}
                        onSave={(freeAfter) => set({ freeAfter })}
                    />
                    {figure('Seconds idle', 's; today', 'idle', 604800)}
                    {figure('Calls today', 'calls,', 'calls', 100000)}
                    {figure('Seconds of talking today', 's of talking', 'talk', 604800)}
                </>
            )}
            <Button size="small" type="text" onClick={clear}>
                Nothing stated
            </Button>
        </div>
    );
}

import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { ActButton } from '../ui/ActButton';
import { ElementPicker } from '../ui/ElementPicker';
import { useChangeNumbers } from './useChangeNumbers';

/** Points a number at an element that takes calls, from where that element is looked at. */
export function LeadHere({ id }: { id: string }) {
    const plan = usePlan();
    const change = useChangeNumbers();
    const here = (plan?.all('number') ?? []).filter((one) => one.target === id).map((one) => one.id);
    return (
        <div className="line-row wrap">
            <span>Send calls to</span>
            <ElementPicker
                label="Number that is to lead here"
                kinds={['number']}
                placeholder="a number"
                exclude={here}
                value={null}
                onChange={(number) => number && change.mutate({ ids: [number], change: { target: id } })}
            />
            <span>here</span>
        </div>
    );
}

/** The same for the number that is called, while it leads nowhere. */
export function LeadItHere({ id }: { id: string }) {
    const { moment } = useMoment();
    const called = usePlan()
        ?.all('number')
        .find((one) => one.number === moment.to);
    const change = useChangeNumbers();
    if (moment.in !== 'draft' || !called || called.target) return null;
    return (
        <ActButton act={() => change.mutateAsync({ ids: [called.id], change: { target: id } })}>
            Send calls to {called.name} here
        </ActButton>
    );
}

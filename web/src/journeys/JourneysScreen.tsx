import { useAnswer } from '../moment/useAnswer';
import { ElementScreen } from '../ui/ElementScreen';
import { FromPattern } from './FromPattern';
import { Outline } from './Outline';

export function JourneysScreen() {
    const { data: trace } = useAnswer();
    // As text, which stays the same while the call goes the same way.
    const taken = [...new Set(trace?.visits.map((visit) => visit.journey))].join(' ');
    return (
        <ElementScreen
            kind="journey"
            empty="There is no journey yet. Name one below, and put what callers go through into it."
            foot={<FromPattern />}
            note={(journey) => (taken.split(' ').includes(journey.id) ? 'on the way' : '')}
            editor={(props) => <Outline {...props} trace={trace} />}
        />
    );
}

import { StepRings } from '../../ringing/StepRings';
import { RingFields } from '../RingFields';
import { KEY_EXITS } from './keys';
import type { StepModule, StepOf } from './module';
import { Name } from './parts';

const EXITS = [
    { on: 'nobody', label: 'nobody answers' },
    { on: 'busy', label: 'busy' },
    { on: 'unreachable', label: 'unreachable' },
    { on: 'refused', label: 'refused' },
    ...KEY_EXITS,
];

export const ring: StepModule<StepOf<'ring'>> = {
    label: 'Ring',
    about: 'a person, a team, an outside number',
    blank: (id) => ({
        id,
        do: 'ring',
        target: null,
        seconds: 20,
        handOver: false,
        againMinutes: 0,
        greeting: null,
        greetAfter: 10,
        exits: [],
    }),
    exits: () => EXITS,
    Sentence: ({ step }) =>
        step.handOver ? (
            <span>
                Hand the call over to <Name id={step.target} missing="nobody yet" />
                <span className="quiet"> for good: their answering rules decide</span>
            </span>
        ) : (
            <span>
                Ring <Name id={step.target} missing="nobody yet" /> for {step.seconds} s
                {step.greeting && (
                    <span className="quiet">
                        , after {step.greetAfter} s play <Name id={step.greeting} missing="no prompt" />
                    </span>
                )}
                {step.againMinutes > 0 && <span className="quiet">, try again for up to {step.againMinutes} min</span>}
            </span>
        ),
    Fields: RingFields,
    Picture: StepRings,
};

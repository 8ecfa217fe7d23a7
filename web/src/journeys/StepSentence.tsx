import { Link } from 'react-router';
import type { Step } from '../api/types';
import { useHoursStates } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { PhoneNumberText } from '../ui/PhoneNumberField';

/** What a step does, as a short sentence. */
export function StepSentence({ step }: { step: Step }) {
    switch (step.do) {
        case 'say':
            return (
                <span>
                    Say <Name id={step.prompt} missing="no prompt yet" />
                </span>
            );
        case 'hours':
            return (
                <span>
                    Look at <Name id={step.hours} missing="no hours yet" />
                    <StateNow id={step.hours} />
                </span>
            );
        case 'menu':
            return (
                <span>
                    Ask with <Name id={step.prompt} missing="no prompt yet" />
                    <span className="quiet">
                        {' '}
                        wait {step.wait} s, {step.tries} {step.tries === 1 ? 'try' : 'tries'}
                    </span>
                </span>
            );
        case 'ring':
            return step.handOver ? (
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
                    {step.againMinutes > 0 && (
                        <span className="quiet">, try again for up to {step.againMinutes} min</span>
                    )}
                </span>
            );
        case 'message':
            return (
                <span>
                    Take a message into <Name id={step.mailbox} missing="no mailbox yet" />
                </span>
            );
        case 'go':
            return (
                <span>
                    Go on in <Name id={step.journey} missing="no journey yet" />
                </span>
            );
        case 'end':
            return <span>End the call</span>;
    }
}

/** The state of hours at the moment of the bar. */
function StateNow({ id }: { id: string | null }) {
    const states = useHoursStates();
    const hours = usePlan()?.get('hours', id);
    const state = hours?.states.find((one) => one.key === states?.[hours.id]?.state);
    return state && <span className={`state ${state.open ? 'open' : 'shut'}`}>{state.name}</span>;
}

function Name({ id, missing }: { id: string | null; missing: string }) {
    const plan = usePlan();
    const { search } = useMoment();
    if (id?.startsWith('+')) {
        return (
            <b>
                <PhoneNumberText number={id} />
            </b>
        );
    }
    const element = plan?.find(id);
    return element ? (
        <Link
            className="quiet-link"
            tabIndex={-1}
            to={{ pathname: `/${KINDS[element.kind].path}/${element.id}`, search }}
        >
            {element.name}
        </Link>
    ) : (
        <span className="missing">{missing}</span>
    );
}

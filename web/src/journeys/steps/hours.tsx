import { useHoursStates } from '../../moment/useAnswer';
import { usePlan } from '../../plan/usePlan';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';

export const hours: StepModule<StepOf<'hours'>> = {
    label: 'Hours',
    about: 'branches on open, closed …',
    blank: (id) => ({ id, do: 'hours', hours: null, exits: [] }),
    exits: (of) => (of?.states ?? []).map((state) => ({ on: state.key, label: state.name.toLowerCase() })),
    Sentence: ({ step }) => (
        <span>
            Look at <Name id={step.hours} missing="no hours yet" />
            <StateNow id={step.hours} />
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Look at{' '}
            <Pick label="Hours" kind="hours" value={step.hours} onPick={(next) => onChange({ ...step, hours: next })} />
        </>
    ),
};

/** The state of hours at the moment of the bar. */
function StateNow({ id }: { id: string | null }) {
    const states = useHoursStates();
    const of = usePlan()?.get('hours', id);
    const state = of?.states.find((one) => one.key === states?.[of.id]?.state);
    return state && <span className={`state ${state.open ? 'open' : 'shut'}`}>{state.name}</span>;
}

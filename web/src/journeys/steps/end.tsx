import { NO_EXITS, type StepModule, type StepOf } from './module';

export const end: StepModule<StepOf<'end'>> = {
    label: 'End',
    about: 'ends the call',
    blank: (id) => ({ id, do: 'end' }),
    exits: NO_EXITS,
    Sentence: () => <span>End the call</span>,
    Fields: () => 'End the call',
};

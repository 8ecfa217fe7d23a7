import type { ComponentType } from 'react';
import type { HoursOutline, Step } from '../../api/types';
import type { PlanIndex } from '../../plan/seenPlan';

export type StepOf<K extends Step['do']> = Extract<Step, { do: K }>;

/** What the screen knows of a kind of step: everything about it stands in one module. */
export interface StepModule<S extends Step> {
    label: string;
    about: string;
    blank: (id: string) => S;
    /** The ways out that it can have, with what people call them. */
    exits: (hours: HoursOutline | undefined, plan: PlanIndex | undefined) => { on: string; label: string }[];
    /** What it does, as a short sentence. */
    Sentence: ComponentType<{ step: S }>;
    Fields: ComponentType<{ step: S; onChange: (step: Step) => void }>;
    /** Shown below its fields. */
    Picture?: ComponentType<{ step: S; onChange: (step: Step) => void }>;
}

export const NO_EXITS = () => [];

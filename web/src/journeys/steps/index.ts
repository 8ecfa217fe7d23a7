import type { HoursOutline, Step } from '../../api/types';
import type { PlanIndex } from '../../plan/seenPlan';
import { again } from './again';
import { caller } from './caller';
import { directory } from './directory';
import { end } from './end';
import { fax } from './fax';
import { forward } from './forward';
import { go } from './go';
import { hours } from './hours';
import { menu } from './menu';
import { message } from './message';
import type { StepModule, StepOf } from './module';
import { park } from './park';
import { queue } from './queue';
import { ring } from './ring';
import { say } from './say';
import { tag } from './tag';

/** Every kind of step, in the order in which it is offered. */
export const STEPS: { [K in Step['do']]: StepModule<StepOf<K>> } = {
    say,
    hours,
    caller,
    menu,
    directory,
    ring,
    queue,
    tag,
    message,
    forward,
    park,
    fax,
    go,
    again,
    end,
};

/** The module of a step: what it says of its own kind holds for it. */
export function moduleOf<S extends Step>(step: S): StepModule<S> {
    return STEPS[step.do] as unknown as StepModule<S>;
}

export const STEP_KINDS = (Object.keys(STEPS) as Step['do'][]).map((kind) => ({ do: kind, ...STEPS[kind] }));

/** The ways out that a step can have, with what people call them. */
export function possibleExits(
    step: Step,
    of: HoursOutline | undefined,
    plan?: PlanIndex,
): { on: string; label: string }[] {
    return STEPS[step.do].exits(of, plan);
}

export function exitLabel(step: Step, on: string, of: HoursOutline | undefined, plan?: PlanIndex): string {
    return possibleExits(step, of, plan).find((one) => one.on === on)?.label ?? on;
}

import type { Step } from '../api/types';
import { STEPS } from './steps';

/** Kept where other journeys, and other windows, find it. */
const KEY = 'meandros.steps';

export function copySteps(steps: Step[]): void {
    localStorage.setItem(KEY, JSON.stringify(steps));
}

/** What was copied last; nothing where that is no longer understood. */
export function copiedSteps(): Step[] {
    try {
        const steps: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
        return Array.isArray(steps) && steps.every(isStep) ? steps : [];
    } catch {
        return [];
    }
}

const isStep = (step: unknown): step is Step =>
    typeof step === 'object' && step !== null && 'do' in step && typeof step.do === 'string' && step.do in STEPS;

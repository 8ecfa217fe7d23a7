import { useQueryClient } from '@tanstack/react-query';
import type { Settings } from '../api/types';
import { newElement } from './kinds';
import { indexOf, type PlanIndex } from './seenPlan';
import { useEdit } from './useEdit';
import { draftOf, usePlan } from './usePlan';
import { useWrite } from './writes';

const usual = (plan: PlanIndex) => newElement('settings', 'Settings', plan) as Settings;

/** The first change makes the settings: the next waits for it. */
let last: Promise<unknown> = Promise.resolve();

/** What holds for the whole plan; a plan that says nothing goes by what is usual. */
export function useSettings() {
    const plan = usePlan();
    const queries = useQueryClient();
    const { save, add } = useEdit();
    const told = useWrite();
    const change = (part: (now: Settings) => Partial<Settings>) => {
        const done = last.then(async (): Promise<unknown> => {
            const draft = draftOf(queries);
            if (!draft) return null;
            const now = indexOf(draft).all('settings')[0];
            if (now) return told(() => save({ ...now, ...part(now) }));
            const first = usual(indexOf(draft));
            return add({ ...first, ...part(first) });
        });
        last = done.catch(() => null);
        return done;
    };
    return { settings: plan && (plan.all('settings')[0] ?? usual(plan)), change };
}

import { keepPreviousData, skipToken, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, ask } from '../api/client';
import type { HeldExpectation } from '../api/types';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { lookingOn, useAtWork } from '../ui/lookingOn';
import { useCalm } from '../ui/useCalm';
import { useJob } from '../ui/useJob';

/** Edits that follow one another so quickly are looked at together. */
const AFTER_THE_EDIT = 600;

const left = (held: Map<string, HeldExpectation>) => [...held.values()].reduce((sum, one) => sum + one.left, 0);

const byId = (held: HeldExpectation[]) => new Map(held.map((one) => [one.id, one]));

/** What the expectations are held against: a plan as it is now, and what is live. */
function useHeldAgainst(which?: string) {
    const { moment } = useMoment();
    const live = useLiveStamp();
    const stamp = useCalm(usePlan()?.stamp, AFTER_THE_EDIT);
    return [which ?? moment.in, stamp, live] as const;
}

const IN_FULL = 'expectations in full';

/** What became of every expectation of the plan on screen, by id: in full where that was looked at, else where phones ring on. */
export function useExpectations(which?: string) {
    const state = useHeldAgainst(which);
    const [shown, stamp] = state;
    const inFull = useQuery<Map<string, HeldExpectation>>({ queryKey: [IN_FULL, ...state], queryFn: skipToken }).data;
    const held = useQuery<Map<string, HeldExpectation>>({
        queryKey: ['expectations', ...state],
        queryFn: async () =>
            byId(
                (await ask(api.GET('/api/plans/{which}/expectations', { params: { path: { which: shown } } })))
                    .expectations,
            ),
        enabled: Boolean(stamp),
        placeholderData: keepPreviousData,
        refetchInterval: lookingOn(left),
    });
    return { ...held, data: inFull ?? held.data, isAtWork: useAtWork(held.isFetching) };
}

/** Looks at all of them in the background, whatever phones do and however long it takes. */
export function useInFull() {
    const state = useHeldAgainst();
    const queries = useQueryClient();
    const { job, started, start, stop } = useJob<readonly unknown[]>('expectations');
    useEffect(() => {
        if (job?.state === 'done' && started)
            queries.setQueryData(
                [IN_FULL, ...started],
                byId((job.result as { expectations: HeldExpectation[] }).expectations),
            );
    }, [job, started, queries]);
    return {
        job,
        isOld: started !== undefined && started.join() !== state.join(),
        look: () =>
            start(state, () =>
                ask(
                    api.POST('/api/plans/{which}/expectations/in-full', {
                        params: { path: { which: state[0] } },
                        body: {},
                    }),
                ),
            ),
        stop,
    };
}

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Endings } from '../api/types';
import { NO_ACTS, toTrialCall } from '../moment/trialCall';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';

/** Every way in which the call of the bar can end; asked for where it is wanted. */
export function useEndings(isWanted: boolean) {
    const { moment } = useMoment();
    const plan = usePlan();
    const live = useLiveStamp();
    // What callers, phones and queues do is what is looked for: the bar's own assumptions of it do not count.
    const call = toTrialCall({ ...moment, ...NO_ACTS });
    return useQuery<Endings>({
        queryKey: ['endings', call, plan?.stamp, live],
        queryFn: () => ask(api.POST('/api/endings', { body: call })),
        enabled: isWanted && Boolean(plan && moment.to && moment.at),
        placeholderData: keepPreviousData,
    });
}

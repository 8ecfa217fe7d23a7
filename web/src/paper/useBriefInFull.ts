import { api, ask } from '../api/client';
import { useLiveStamp } from '../moment/useLiveStamp';
import { usePlan } from '../plan/usePlan';
import { isAtWork, useJob } from '../ui/useJob';
import type { Choice } from './PaperChoices';

interface Written {
    html: string;
    markdown: string;
}

/** The brief of more numbers than can be looked at while somebody waits, written in the background. */
export function useBriefInFull(which: string, { language, number, before }: Choice) {
    const stamp = usePlan()?.stamp;
    const live = useLiveStamp();
    const { job, started, start, stop } = useJob<string>('brief');
    const wanted = [which, language, number, before, stamp, live].join();
    const isOf = started === wanted;
    return {
        job: isOf ? job : undefined,
        isAtWork: isOf && isAtWork(job),
        written: isOf && job?.state === 'done' ? (job.result as unknown as Written) : undefined,
        stop,
        write: () =>
            start(wanted, () =>
                ask(
                    api.POST('/api/plans/{which}/brief/in-full', {
                        params: {
                            path: { which },
                            query: { language, ...(number ? { number } : {}), ...(before ? { before } : {}) },
                        },
                        body: {},
                    }),
                ),
            ),
    };
}

export type BriefInFull = ReturnType<typeof useBriefInFull>;

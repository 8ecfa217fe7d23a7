import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask, RefusedError } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import type { Choice } from './PaperChoices';

/** What is chosen, as a page, and where it is kept from. */
export function usePaper({ kind, language, number, before }: Choice) {
    const { moment } = useMoment();
    const plan = usePlan();
    const isBrief = kind === 'brief';
    const query = {
        language,
        ...(isBrief && before ? { before } : {}),
        ...(number ? { number } : {}),
    } as Record<string, string>;
    const page = useQuery({
        queryKey: ['paper', kind, moment.in, query, plan?.stamp],
        queryFn: () => {
            const path = { which: moment.in, format: 'html' as const };
            return ask<unknown>(
                isBrief
                    ? api.GET('/api/plans/{which}/brief.{format}', { params: { path, query }, parseAs: 'text' })
                    : api.GET('/api/plans/{which}/paper.{format}', { params: { path, query }, parseAs: 'text' }),
            );
        },
        placeholderData: keepPreviousData,
    });
    return {
        html: page.error ? undefined : String(page.data ?? ''),
        error: page.error,
        isWritten: page.isError || (page.isSuccess && !page.isPlaceholderData),
        isTooLong: page.error instanceof RefusedError && page.error.problem.errors?.[0]?.code === 'brief-too-long',
        file: (format: string) => `/api/plans/${moment.in}/${kind}.${format}?${new URLSearchParams(query)}`,
    };
}

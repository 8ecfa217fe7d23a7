import type { Query } from '@tanstack/react-query';
import { useCalm } from './useCalm';

/** So often it is asked again: who is further behind than that is told what there was no time for. */
const MOST = 15;
const SOON = 50;

/** How soon a query is asked again whose answer is not all, where the server goes on at what there was no time for. */
export const lookingOn =
    <T>(left: (data: T) => number) =>
    ({ state }: Pick<Query<T>, 'state'>): number | false =>
        state.data !== undefined && left(state.data) > 0 && state.dataUpdateCount < MOST ? SOON : false;

/** Whether it is looked on at: also between one answer and the next question. */
export function useAtWork(isFetching: boolean): boolean {
    const wasJustNow = useCalm(isFetching, 10 * SOON);
    return isFetching || wasJustNow;
}

import { QueryClient } from '@tanstack/react-query';
import { RefusedError } from './client';

const SOON = 1000;
const AT_LEAST_EVERY = 5000;

/** A query asks again for as long as the server, or its database, is away, ever less often; what was refused would be refused again. */
const whileAway = (_failures: number, error: Error) => error instanceof RefusedError && error.isOffline;
const everLater = (failures: number) => Math.min(SOON * 2 ** failures, AT_LEAST_EVERY);

export const newQueries = () =>
    new QueryClient({
        defaultOptions: {
            queries: { retry: whileAway, retryDelay: everLater, refetchOnWindowFocus: true, staleTime: 5000 },
        },
    });

import type { TraceEvent } from '../api/types';

/** Why somebody or a team rang as it did: the answering rule that decided, and the limit. */
export function ringingOf(
    events: TraceEvent[] | undefined,
    target: string,
): { rule: string | null; limit: number | null } {
    const event = events?.find((one) => (one.what as { target?: unknown }).target === target);
    const { rule, limit } = (event?.because ?? {}) as { rule?: unknown; limit?: unknown };
    return { rule: typeof rule === 'string' ? rule : null, limit: typeof limit === 'number' ? limit : null };
}

interface Looked {
    data?: unknown;
    error: Error | null;
}

/** What stands where much is looked through: that it is, until there is something to show, or why it cannot be. */
export function LookingThrough({ what, query }: { what: string; query: Looked }) {
    if (query.error) return <p className="alarm">{query.error.message}</p>;
    return query.data ? null : <p className="quiet">Looking through {what} …</p>;
}

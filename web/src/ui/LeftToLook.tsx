/** What is not looked at yet: it is being looked at, or there was no time for it. */
export function LeftToLook({ left, of, isAtWork }: { left: number; of: string; isAtWork: boolean }) {
    if (left === 0) return null;
    const [many, are] = left === 1 ? ['one', 'is'] : [left, 'are'];
    return (
        <p className="quiet">
            {isAtWork ? `Looking on: ${many} of ${of} ${are} left.` : `There was no time to look at ${many} of ${of}.`}{' '}
            This is not all.
        </p>
    );
}

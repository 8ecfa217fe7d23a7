import { diffWordsWithSpace } from 'diff';

/** Two scripts in one: what was said in the recording and is not any more, and what is new. */
export function WordDifference({ before, now }: { before: string; now: string }) {
    return (
        <p className="difference">
            <span className="quiet">From the take to the script: </span>
            {diffWordsWithSpace(before, now).map((part, i) => {
                // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
                if (part.removed) return <del key={i}>{part.value}</del>;
                // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
                return part.added ? <ins key={i}>{part.value}</ins> : <span key={i}>{part.value}</span>;
            })}
        </p>
    );
}

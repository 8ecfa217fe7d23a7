import { TextDifference } from '../ui/TextDifference';

/** Two scripts in one: what was said in the recording and is not any more, and what is new. */
export function WordDifference({ before, now }: { before: string; now: string }) {
    return (
        <p className="difference">
            <span className="quiet">From the take to the script: </span>
            <TextDifference before={before} now={now} />
        </p>
    );
}

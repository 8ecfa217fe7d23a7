import { Fragment } from 'react';
import { shortened, textParts } from './textParts';

/** Two texts in one: what goes, and what comes. */
export function TextDifference({ before, now, isShort = false }: { before: string; now: string; isShort?: boolean }) {
    const parts = textParts(before, now);
    return parts.map((part, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
        <Fragment key={i}>
            {'same' in part ? (
                isShort ? (
                    shortened(part.same, i > 0, i < parts.length - 1)
                ) : (
                    part.same
                )
            ) : (
                <>
                    {part.gone !== '' && <del>{part.gone}</del>}
                    {part.come !== '' && <ins>{part.come}</ins>}
                </>
            )}
        </Fragment>
    ));
}

import type { ReactNode } from 'react';

/** Fields that read as a sentence, with what is wrong below. */
export function Line({ children, error }: { children: ReactNode; error?: string | undefined }) {
    return (
        <>
            <div className="line-row wrap">{children}</div>
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </>
    );
}

import { type ReactNode, useId } from 'react';

/** A label, a control, and what is wrong with it. The control gets the id and the description through the function. */
export function Field({
    label,
    hint,
    error,
    children,
    wide,
}: {
    label: string;
    hint?: ReactNode;
    error?: string | undefined;
    wide?: boolean;
    children: (a11y: FieldA11y) => ReactNode;
}) {
    const id = useId();
    const about = hint || error ? `${id}-about` : undefined;
    return (
        <div className={wide ? 'field wide' : 'field'}>
            <label htmlFor={id}>{label}</label>
            {children({
                id,
                'aria-describedby': about,
                'aria-invalid': error ? true : undefined,
                status: error ? 'error' : '',
            })}
            {about && (
                <p id={about} className={error ? 'about alarm' : 'about'} role={error ? 'alert' : undefined}>
                    {error ?? hint}
                </p>
            )}
        </div>
    );
}

export interface FieldA11y {
    id: string;
    'aria-describedby': string | undefined;
    'aria-invalid': true | undefined;
    status: 'error' | '';
}

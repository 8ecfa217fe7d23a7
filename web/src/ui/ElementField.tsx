import type { ReactNode } from 'react';
import type { Kind } from '../api/types';
import { PlayPrompt } from '../sound/PlayButton';
import { ElementPicker } from './ElementPicker';
import { Field } from './Field';

/** A labelled choice of an element, or of none where that makes sense. */
export function ElementField({
    label,
    hint,
    error,
    kind,
    value,
    none,
    disabled,
    onChange,
}: {
    label: string;
    hint?: ReactNode;
    error: string | undefined;
    kind: Kind;
    value: string | null;
    /** What stands there when nothing is chosen; without it, something must be. */
    none?: string;
    disabled: boolean;
    onChange: (id: string | null) => void;
}) {
    return (
        <Field label={label} hint={hint} error={error}>
            {(a11y) => (
                <span className="line-row tight">
                    <ElementPicker
                        id={a11y.id}
                        status={a11y.status}
                        label={label}
                        kinds={[kind]}
                        value={value}
                        disabled={disabled}
                        {...(none === undefined ? {} : { clearable: true, placeholder: none })}
                        onChange={onChange}
                    />
                    {kind === 'prompt' && <PlayPrompt id={value} />}
                </span>
            )}
        </Field>
    );
}

/** Where something belongs: it always belongs somewhere. */
export function SiteField({
    value,
    hint,
    error,
    disabled,
    onChange,
}: {
    value: string;
    hint?: ReactNode;
    error: string | undefined;
    disabled: boolean;
    onChange: (site: string) => void;
}) {
    return (
        <ElementField
            label="Site"
            hint={hint}
            error={error}
            kind="site"
            value={value}
            disabled={disabled}
            onChange={(site) => site && onChange(site)}
        />
    );
}

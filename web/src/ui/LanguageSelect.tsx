import { Select } from 'antd';
import { Field } from './Field';
import { BY_LABEL } from './searched';

const NAMES = new Intl.DisplayNames(['en'], { type: 'language' });
const OFFERED = ['en', 'fr', 'de', 'es', 'nl', 'it', 'pt', 'pl', 'cy', 'ga'];

export const languageName = (code: string) => NAMES.of(code) ?? code;

export function LanguageSelect({
    value,
    onChange,
    disabled,
    error,
    label = 'Language',
}: {
    value: string;
    onChange: (code: string) => void;
    disabled: boolean;
    error?: string | undefined;
    label?: string;
}) {
    const codes = [...new Set([value, ...OFFERED])];
    return (
        <Field label={label} error={error}>
            {(a11y) => (
                <Select
                    {...a11y}
                    aria-label={label}
                    showSearch={BY_LABEL}
                    value={value}
                    disabled={disabled}
                    options={codes.map((code) => ({ value: code, label: languageName(code) }))}
                    onChange={onChange}
                />
            )}
        </Field>
    );
}

export function missingLanguages(used: string[]): { value: string; label: string }[] {
    return OFFERED.filter((code) => !used.includes(code)).map((code) => ({ value: code, label: languageName(code) }));
}

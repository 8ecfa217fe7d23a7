import { Button, InputNumber, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { Site } from '../api/types';
import { countryName, isCountry, useCountries } from '../ui/countries';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { LanguageSelect } from '../ui/LanguageSelect';
import { BY_LABEL } from '../ui/searched';
import { TextField } from '../ui/TextField';
import { useCadence } from '../ui/useCadence';
import { withCountry, withZone, zonesFor } from './place';

export function SitesScreen() {
    return (
        <ElementScreen
            kind="site"
            empty="There is no site yet. Name one below."
            note={(site) => site.zone}
            editor={(props) => <SiteEditor {...props} />}
        />
    );
}

function SiteEditor({ value, change, error, disabled }: EditorProps<Site>) {
    const countries = useCountries()?.countries ?? {};
    const codes = [...new Set([value.country, ...Object.keys(countries)])];
    return (
        <div className="fields">
            <Field label="Country" hint="Numbers are typed as they are dialled there" error={error('/country')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Country"
                        showSearch={{ filterOption: (typed, option) => isCountry(option?.value ?? '', typed) }}
                        value={value.country}
                        disabled={disabled}
                        options={codes.map((code) => ({ value: code, label: countryName(code) }))}
                        onChange={(country) => change(withCountry(value, country, countries))}
                    />
                )}
            </Field>
            <Field label="Time zone" hint="All hours of this site keep its time" error={error('/zone')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Time zone"
                        showSearch={BY_LABEL}
                        value={value.zone}
                        disabled={disabled}
                        options={zonesFor(value, countries).map((zone) => ({ value: zone, label: zone }))}
                        onChange={(zone) => change(withZone(value, zone, countries))}
                    />
                )}
            </Field>
            <LanguageSelect
                value={value.language}
                disabled={disabled}
                error={error('/language')}
                onChange={(language) => change({ ...value, language })}
            />
            <CadenceField value={value} change={change} error={error} disabled={disabled} />
            <TextField
                label="Address"
                value={value.address ?? ''}
                disabled={disabled}
                error={error('/address')}
                onSave={(address) => change({ ...value, address })}
            />
            <Field
                label="Park places"
                hint="What is dialled to take a call that waits there, filled in this order; 2 to 6 digits each"
                error={error('/parkPlaces')}
            >
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Park places"
                        mode="tags"
                        open={false}
                        suffixIcon={null}
                        tokenSeparators={[',', ' ', ';']}
                        placeholder="none: type 701, then Enter"
                        value={value.parkPlaces}
                        disabled={disabled}
                        onChange={(parkPlaces) => change({ ...value, parkPlaces })}
                    />
                )}
            </Field>
        </div>
    );
}

/** How long a ring lasts: "3 rings" and "18 s" are the same where it lasts 6 s. */
function CadenceField({ value, change, error, disabled }: EditorProps<Site>) {
    const usual = useCadence(value.id);
    return (
        <Field
            label="A ring lasts"
            hint={
                value.cadence === null
                    ? 'As is usual there (ITU-T E.180), with the silence after it'
                    : 'With the silence after it'
            }
            error={error('/cadence')}
        >
            {(a11y) => (
                <span className="line-row tight">
                    <InputNumber
                        id={a11y.id}
                        aria-label="A ring lasts"
                        aria-describedby={a11y['aria-describedby']}
                        style={{ width: 76 }}
                        min={LIMITS.site.cadence.min / 1000}
                        max={LIMITS.site.cadence.max / 1000}
                        step={0.5}
                        value={(value.cadence ?? usual) / 1000}
                        disabled={disabled}
                        onChange={(seconds) =>
                            seconds !== null && change({ ...value, cadence: Math.round(seconds * 1000) })
                        }
                    />
                    s
                    {value.cadence !== null && !disabled && (
                        <Button size="small" onClick={() => change({ ...value, cadence: null })}>
                            As is usual there
                        </Button>
                    )}
                </span>
            )}
        </Field>
    );
}

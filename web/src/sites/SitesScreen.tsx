import { Select } from 'antd';
import type { Site } from '../api/types';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { LanguageSelect } from '../ui/LanguageSelect';
import { TextField } from '../ui/TextField';

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
    const zones = [...new Set([value.zone, ...Intl.supportedValuesOf('timeZone')])];
    return (
        <div className="fields">
            <Field label="Time zone" hint="All hours of this site keep its time" error={error('/zone')}>
                {(a11y) => (
                    <Select
                        {...a11y}
                        aria-label="Time zone"
                        showSearch={{ optionFilterProp: 'label' }}
                        value={value.zone}
                        disabled={disabled}
                        options={zones.map((zone) => ({ value: zone, label: zone }))}
                        onChange={(zone) => change({ ...value, zone })}
                    />
                )}
            </Field>
            <TextField
                label="Country"
                value={value.country}
                disabled={disabled}
                hint="Two letters, such as GB or FR"
                error={error('/country')}
                onSave={(country) => change({ ...value, country: country.toUpperCase() })}
            />
            <LanguageSelect
                value={value.language}
                disabled={disabled}
                error={error('/language')}
                onChange={(language) => change({ ...value, language })}
            />
            <TextField
                label="Address"
                value={value.address ?? ''}
                disabled={disabled}
                error={error('/address')}
                onSave={(address) => change({ ...value, address })}
            />
        </div>
    );
}

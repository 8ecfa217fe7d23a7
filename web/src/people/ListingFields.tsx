import { Checkbox } from 'antd';
import type { Person } from '../api/types';
import { ElementField } from '../ui/ElementField';
import type { EditorProps } from '../ui/ElementScreen';
import { TextField } from '../ui/TextField';

/** Whether callers find somebody by name or extension, why not, and how the name is read out. */
export function ListingFields({ value, change, error, disabled }: EditorProps<Person>) {
    const { listing } = value;
    const set = (part: Partial<typeof listing>) => change({ ...value, listing: { ...listing, ...part } });
    return (
        <>
            <h2>Reached by name or extension</h2>
            <Checkbox checked={listing.on} disabled={disabled} onChange={(event) => set({ on: event.target.checked })}>
                Callers find them in directories and may dial them
            </Checkbox>
            <div className="fields">
                {listing.on ? (
                    <ElementField
                        label="Name as it is read out"
                        hint="Where several names are spelled alike"
                        error={error('/listing/prompt')}
                        kind="prompt"
                        none="the machine reads it"
                        value={listing.prompt}
                        disabled={disabled}
                        onChange={(prompt) => set({ prompt })}
                    />
                ) : (
                    <TextField
                        label="Why not"
                        hint="So that the next one knows"
                        value={listing.reason}
                        disabled={disabled}
                        error={error('/listing/reason')}
                        onSave={(reason) => set({ reason })}
                    />
                )}
            </div>
        </>
    );
}

import { useState } from 'react';
import { usePlan } from '../plan/usePlan';
import { PhoneNumberField } from '../ui/PhoneNumberField';

/** Type a number, and see by which line a call to it would leave. */
export function TryANumber({ site }: { site: string }) {
    const plan = usePlan();
    const [number, setNumber] = useState('');
    return (
        <div className="fields">
            <PhoneNumberField
                label="A number to call from this site"
                value={number}
                country={plan?.get('site', site)?.country ?? 'GB'}
                site={site}
                onSave={setNumber}
            />
        </div>
    );
}

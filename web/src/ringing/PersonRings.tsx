import { memo, useMemo } from 'react';
import type { Person } from '../api/types';
import { personHandles } from './handles';
import { RingEditor } from './RingEditor';
import { ringingOf } from './ringingOf';
import { lookAt } from './useRingPreview';

/** How a direct call rings this person now. */
export const PersonRings = memo(function PersonRings({
    value,
    disabled,
    change,
}: {
    value: Person;
    disabled: boolean;
    change: (person: Person) => void;
}) {
    const step = useMemo(() => lookAt(value.id, 30, true), [value.id]);
    return (
        <section aria-label="How a direct call rings">
            <h2>How a direct call rings</h2>
            <RingEditor
                value={value}
                step={step}
                direct
                handlesOf={(person, preview) => personHandles(person, ringingOf(preview.events, person.id).rule)}
                disabled={disabled}
                onChange={change}
            />
        </section>
    );
});

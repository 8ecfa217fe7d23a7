import { memo, useMemo } from 'react';
import type { Person } from '../api/types';
import { personHandles } from './handles';
import { type Preview, RingEditor } from './RingEditor';
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
                handlesOf={(person, preview) => personHandles(person, ruleOf(preview, person.id))}
                disabled={disabled}
                onChange={change}
            />
        </section>
    );
});

/** Which of a person's rules decided. */
function ruleOf(preview: Preview, person: string): string | null {
    const event = preview.events.find((one) => (one.what as { target?: unknown }).target === person);
    const { rule } = (event?.because ?? {}) as { rule?: unknown };
    return typeof rule === 'string' ? rule : null;
}

import type { RingStep } from '../api/types';
import { RingEditor } from './RingEditor';

/** How this step rings for a call that comes to it at the moment of the bar. */
export function StepRings({ step, onChange }: { step: RingStep; onChange: (step: RingStep) => void }) {
    if (!step.target) return null;
    return (
        <section className="step-rings" aria-label="How this step rings">
            <RingEditor step={step} disabled={false} onLimit={(seconds) => onChange({ ...step, seconds })} />
        </section>
    );
}

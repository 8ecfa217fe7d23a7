import { useMemo, useState } from 'react';
import type { Team } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { teamHandles } from './handles';
import { RingEditor } from './RingEditor';
import { ringingOf } from './ringingOf';
import { lookAt } from './useRingPreview';

const USUAL_LIMIT = 30;

/** How this team rings now: for as long as the trial call rings it, or some other time. */
export function TeamRings({
    value,
    disabled,
    change,
}: {
    value: Team;
    disabled: boolean;
    change: (team: Team) => void;
}) {
    const { data: trace } = useAnswer();
    const [chosen, setChosen] = useState<number | null>(null);
    // A team that is paged has no limit.
    const seconds = chosen ?? (ringingOf(trace?.events, value.id).limit || USUAL_LIMIT);
    const step = useMemo(() => lookAt(value.id, seconds, false), [value.id, seconds]);
    if (value.members.length === 0) return null;
    return (
        <section aria-label="How it rings now">
            <h2>How it rings now</h2>
            <RingEditor
                value={value}
                step={step}
                handlesOf={(team, preview) => teamHandles(team, preview.rung)}
                disabled={disabled}
                onChange={change}
                onLimit={setChosen}
            />
        </section>
    );
}

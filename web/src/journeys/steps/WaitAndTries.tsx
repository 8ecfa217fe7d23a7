import { LIMITS } from '../../api/limits';
import { NumberInput } from '../../ui/NumberInput';

interface Patience {
    wait: number;
    tries: number;
}

/** For how long a step waits for a key, and how often it asks. */
export function WaitAndTries({ step, onChange }: { step: Patience; onChange: (patience: Partial<Patience>) => void }) {
    return (
        <>
            wait{' '}
            <NumberInput
                label="Seconds to wait for a key"
                unit="s"
                {...LIMITS.menu.wait}
                value={step.wait}
                onSave={(wait) => onChange({ wait })}
            />
            ask{' '}
            <NumberInput
                label="Tries"
                unit="times"
                {...LIMITS.menu.tries}
                value={step.tries}
                onSave={(tries) => onChange({ tries })}
            />
        </>
    );
}

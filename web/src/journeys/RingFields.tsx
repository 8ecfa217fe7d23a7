import { Select } from 'antd';
import { useState } from 'react';
import { LIMITS } from '../api/limits';
import type { RingStep } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { NumberInput } from '../ui/NumberInput';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { RingTimeInput } from '../ui/RingTimeInput';

/** Whom a step rings, for how long, whether it comes back, tries again, and greets meanwhile. */
export function RingFields({ step, onChange }: { step: RingStep; onChange: (step: RingStep) => void }) {
    const plan = usePlan();
    const person = plan?.get('person', step.target);
    const [outside, setOutside] = useState(step.target?.startsWith('+') ?? false);
    const { moment } = useMoment();
    // A journey belongs to no site: numbers are read, and rings counted, as they are where the tried number is.
    const site = plan?.all('number').find((number) => number.number === moment.to)?.site ?? plan?.all('site')[0]?.id;
    return (
        <>
            Ring
            <Select
                size="small"
                aria-label="Whom to ring"
                value={outside ? 'outside' : 'inside'}
                options={[
                    { value: 'inside', label: 'a person or team' },
                    { value: 'outside', label: 'an outside number' },
                ]}
                onChange={(choice) => setOutside(choice === 'outside')}
            />
            {outside ? (
                <PhoneNumberField
                    label="Outside number"
                    country={plan?.get('site', site)?.country ?? 'GB'}
                    site=""
                    value={step.target?.startsWith('+') ? step.target : ''}
                    onSave={(target) => onChange({ ...step, target })}
                />
            ) : (
                <ElementPicker
                    autoFocus
                    label="Person or team"
                    kinds={['person', 'team']}
                    value={step.target?.startsWith('+') ? null : step.target}
                    onChange={(target) => onChange({ ...step, target })}
                />
            )}
            {person && (
                <Select
                    size="small"
                    aria-label="Try or hand over"
                    value={step.handOver ? 'over' : 'try'}
                    options={[
                        { value: 'try', label: 'and come back' },
                        { value: 'over', label: 'for good: their rules decide' },
                    ]}
                    onChange={(choice) => onChange({ ...step, handOver: choice === 'over' })}
                />
            )}
            {!(person && step.handOver) && (
                <>
                    for{' '}
                    <RingTimeInput
                        label="Seconds to ring"
                        site={site}
                        {...LIMITS.ring.seconds}
                        value={step.seconds}
                        onSave={(seconds) => onChange({ ...step, seconds })}
                    />
                    try again for up to{' '}
                    <NumberInput
                        label="Minutes to try again"
                        unit="min"
                        {...LIMITS.ring.againMinutes}
                        value={step.againMinutes}
                        onSave={(againMinutes) => onChange({ ...step, againMinutes })}
                    />
                    <ElementPicker
                        label="Greeting while it rings"
                        kinds={['prompt']}
                        clearable
                        placeholder="no greeting while it rings"
                        value={step.greeting}
                        onChange={(greeting) => onChange({ ...step, greeting })}
                    />
                    {step.greeting && (
                        <>
                            after{' '}
                            <RingTimeInput
                                label="Seconds of ringing before the greeting"
                                site={site}
                                {...LIMITS.ring.greetAfter}
                                value={step.greetAfter}
                                onSave={(greetAfter) => onChange({ ...step, greetAfter })}
                            />
                        </>
                    )}
                </>
            )}
        </>
    );
}

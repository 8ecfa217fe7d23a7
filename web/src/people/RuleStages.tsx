import { Button, Select } from 'antd';
import { LIMITS } from '../api/limits';
import type { RuleStage } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { NumberInput } from '../ui/NumberInput';
import { RingTimeInput } from '../ui/RingTimeInput';
import { RemoveButton } from '../ui/RowButtons';
import { BY_LABEL } from '../ui/searched';
import type { RuleProps } from './rules';

/** Which phones and teams ring, from when and for how long; and whether it all begins anew. */
export function RuleStages({ rule, person, disabled, onChange }: RuleProps) {
    const plan = usePlan();
    const set = (i: number, part: Partial<RuleStage>) =>
        onChange({ stages: rule.stages.with(i, { ...(rule.stages[i] as RuleStage), ...part }) });
    const add = () => {
        const end = Math.max(0, ...rule.stages.map((one) => one.after + one.seconds));
        const phone = person.phones[Math.min(rule.stages.length, person.phones.length - 1)];
        if (phone) onChange({ stages: [...rule.stages, { phones: [phone.id], teams: [], after: end, seconds: 20 }] });
    };
    const options = [
        { label: 'Phones', options: person.phones.map((one) => ({ value: `phone ${one.id}`, label: one.label })) },
        {
            label: 'Teams, for their own calls',
            options: (plan?.all('team') ?? []).map((one) => ({ value: `team ${one.id}`, label: one.name })),
        },
    ];
    const named = (who: string[], kind: string) =>
        who.filter((one) => one.startsWith(`${kind} `)).map((one) => one.slice(kind.length + 1));
    return (
        <>
            {rule.stages.map((stage, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: stages have no identity but their place
                <div className="line-row wrap" key={i}>
                    <span>ring</span>
                    <Select
                        aria-label={`Phones of stage ${i + 1} of ${rule.name}`}
                        mode="multiple"
                        size="small"
                        style={{ minWidth: 200 }}
                        showSearch={BY_LABEL}
                        value={[
                            ...stage.phones.map((one) => `phone ${one}`),
                            ...stage.teams.map((one) => `team ${one}`),
                        ]}
                        disabled={disabled}
                        options={options}
                        onChange={(who) =>
                            who.length > 0 && set(i, { phones: named(who, 'phone'), teams: named(who, 'team') })
                        }
                    />
                    <span>from</span>
                    <RingTimeInput
                        label={`Start of stage ${i + 1} of ${rule.name}`}
                        site={person.site}
                        {...LIMITS['answeringRule.stages'].after}
                        value={stage.after}
                        disabled={disabled}
                        onSave={(after) => set(i, { after })}
                    />
                    <span>for</span>
                    <RingTimeInput
                        label={`Length of stage ${i + 1} of ${rule.name}`}
                        site={person.site}
                        {...LIMITS['answeringRule.stages'].seconds}
                        value={stage.seconds}
                        disabled={disabled}
                        onSave={(seconds) => set(i, { seconds })}
                    />
                    {!disabled && (
                        <RemoveButton
                            label={`Remove stage ${i + 1} of ${rule.name}`}
                            onClick={() => onChange({ stages: rule.stages.toSpliced(i, 1) })}
                        />
                    )}
                </div>
            ))}
            {rule.stages.length === 0 && <p className="quiet">No phone rings: calls go on at once.</p>}
            <div className="line-row wrap">
                {!disabled && person.phones.length > 0 && (
                    <Button size="small" type="text" onClick={add}>
                        + stage
                    </Button>
                )}
                {rule.stages.length > 0 && (
                    <>
                        <span>keep the caller and try again for up to</span>
                        <NumberInput
                            label={`Minutes to try again, by ${rule.name}`}
                            unit="min"
                            {...LIMITS.answeringRule.againMinutes}
                            value={rule.againMinutes}
                            disabled={disabled}
                            onSave={(againMinutes) => onChange({ againMinutes })}
                        />
                    </>
                )}
            </div>
        </>
    );
}

import { Button, Select } from 'antd';
import type { AnsweringRule } from '../api/types';
import { nextWindow, WindowFields } from '../hours/WindowFields';
import { nowIn } from '../moment/now';
import { usePlan } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';
import { later, type RuleProps } from './rules';
import { STATUSES } from './useStatuses';

/** When a rule holds: hours or times of one's own, the status, how the call comes, who calls, and until when. */
export function RuleWhen({ rule, person, disabled, onChange }: RuleProps) {
    const plan = usePlan();
    const when = rule.when;
    const hours = plan?.get('hours', when.hours);
    const zone = plan?.get('site', person.site)?.zone ?? 'UTC';
    const set = (part: Partial<AnsweringRule['when']>) => onChange({ when: { ...when, ...part } });
    return (
        <>
            <div className="line-row wrap">
                <span>When</span>
                <ElementPicker
                    label={`Hours of ${rule.name}`}
                    kinds={['hours']}
                    clearable
                    placeholder={when.windows.length > 0 ? 'the times below' : 'at any time'}
                    value={when.hours}
                    disabled={disabled}
                    onChange={(id) => {
                        const states = plan?.get('hours', id)?.states ?? [];
                        set({ hours: id, states: states.filter((one) => one.open).map((one) => one.key) });
                    }}
                />
                {hours && (
                    <Select
                        aria-label={`States of ${rule.name}`}
                        mode="multiple"
                        size="small"
                        style={{ minWidth: 150 }}
                        value={when.states}
                        disabled={disabled}
                        options={hours.states.map((one) => ({ value: one.key, label: one.name }))}
                        onChange={(states) => set({ states })}
                    />
                )}
                <Select
                    aria-label={`Statuses of ${rule.name}`}
                    mode="multiple"
                    size="small"
                    style={{ minWidth: 150 }}
                    maxTagCount={1}
                    placeholder="while available"
                    value={when.statuses}
                    disabled={disabled}
                    options={STATUSES}
                    onChange={(statuses) => set({ statuses })}
                />
                <Select
                    aria-label={`How calls of ${rule.name} come`}
                    size="small"
                    style={{ width: 160 }}
                    value={when.via}
                    disabled={disabled}
                    options={[
                        { value: 'any', label: 'however they come' },
                        { value: 'direct', label: 'direct calls only' },
                        { value: 'team', label: 'through a team only' },
                    ]}
                    onChange={(via) => set({ via })}
                />
                <LineInput
                    label={`Callers of ${rule.name}`}
                    width={150}
                    placeholder="from everybody"
                    value={when.callers.join(', ')}
                    disabled={disabled}
                    read={(typed) => callersOf(typed).join(', ')}
                    onSave={(typed) => set({ callers: callersOf(typed) })}
                />
            </div>
            {when.windows.map((window, i) => (
                <WindowFields
                    // biome-ignore lint/suspicious/noArrayIndexKey: windows have no identity but their place
                    key={i}
                    name={`time ${i + 1} of ${rule.name}`}
                    window={window}
                    site={plan?.get('site', person.site)?.name}
                    disabled={disabled}
                    onChange={(part) => set({ windows: when.windows.with(i, { ...window, ...part }) })}
                    onRemove={() => set({ windows: when.windows.toSpliced(i, 1) })}
                />
            ))}
            <div className="line-row wrap">
                {!disabled && (
                    <Button
                        size="small"
                        type="text"
                        onClick={() => set({ windows: [...when.windows, nextWindow(when.windows)] })}
                    >
                        + times of their own
                    </Button>
                )}
                <EndOfRule rule={rule} zone={zone} disabled={disabled} onChange={onChange} />
            </div>
        </>
    );
}

/** Until when a rule holds, where it does not hold for good. */
function EndOfRule({ rule, zone, disabled, onChange }: Omit<RuleProps, 'person'> & { zone: string }) {
    if (rule.until === null)
        return disabled ? null : (
            <Button size="small" type="text" onClick={() => onChange({ until: midnight(zone) })}>
                + an end
            </Button>
        );
    return (
        <span className="line-row tight">
            <span>holds until</span>
            <LineInput
                label={`${rule.name} holds until`}
                type="datetime-local"
                width={190}
                value={rule.until}
                disabled={disabled}
                read={(typed) => typed.slice(0, 16)}
                onSave={(until) => onChange({ until: until || null })}
            />
            {!disabled && (
                <RemoveButton label={`Remove the end of ${rule.name}`} onClick={() => onChange({ until: null })} />
            )}
        </span>
    );
}

const callersOf = (typed: string) => typed.split(/[,;\s]+/).filter(Boolean);

/** The coming midnight on the clock of the site. */
function midnight(zone: string): string {
    return later(`${nowIn(zone).slice(0, 10)}T00:00`, 24 * 60);
}

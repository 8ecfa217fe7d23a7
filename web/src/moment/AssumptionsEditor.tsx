import { Button, Checkbox, Input, Select } from 'antd';
import type { Queue } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { QueueStateLine } from '../queues/QueueStateLine';
import { NumberInput } from '../ui/NumberInput';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { RemoveButton } from '../ui/RowButtons';
import { BY_LABEL } from '../ui/searched';
import { ASSUMED } from './assumedLimits';
import { Meanwhile } from './Meanwhile';
import { ASSUMED_STATUSES, type Assumed, isStatus } from './moment';
import { useAnswer } from './useAnswer';
import { useMoment } from './useMoment';

const DOES: { value: Assumed['does']; label: string }[] = [
    { value: 'answers', label: 'answers after' },
    { value: 'busy', label: 'is busy' },
    { value: 'on a call', label: 'is on a call' },
    { value: 'unreachable', label: 'is unreachable' },
    { value: 'refuses', label: 'refuses after' },
    { value: 'rings', label: 'does not answer' },
    ...ASSUMED_STATUSES.map((value) => ({ value, label: `status: ${value}` })),
];

/** What a trial call takes for granted: who does what, which keys are pressed, how long the caller waits. */
export function AssumptionsEditor() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const who = [
        { value: '*', label: 'Every phone' },
        ...(plan?.all('person') ?? []).flatMap((person) => [
            { value: person.id, label: person.name },
            ...person.phones
                .map((phone) => ({ value: `${person.id}/${phone.id}`, label: `${person.name}: ${phone.label}` }))
                .filter(({ value }) => person.phones.length > 1 || moment.phones.some((one) => one.who === value)),
        ]),
    ];
    const queues = useQueuesOfCall();
    const set = (i: number, part: Partial<Assumed>) =>
        change(({ phones }) => ({
            phones: onceEach(
                phones.map((one, j) => (i === j ? { ...one, ...part } : one)),
                i,
            ),
        }));

    return (
        <div className="assumptions" role="group" aria-label="Assumptions">
            <h2>Take for granted</h2>
            {moment.phones.length === 0 && <p className="quiet">Nobody answers: the whole overflow is shown.</p>}
            {moment.phones.map((one, i) => (
                <AssumedPhone
                    // biome-ignore lint/suspicious/noArrayIndexKey: assumptions have no identity but their place
                    key={i}
                    one={one}
                    who={who}
                    onChange={(part) => set(i, part)}
                    onThen={() =>
                        change(({ phones }) => ({ phones: phones.toSpliced(i + 1, 0, thenElse(one, phones)) }))
                    }
                    onRemove={() => change(({ phones }) => ({ phones: phones.filter((_, j) => j !== i) }))}
                />
            ))}
            <Button
                size="small"
                onClick={() =>
                    change(({ phones }) => ({
                        phones: [...phones, { who: unnamed(who, phones), does: 'answers', after: 8 }],
                    }))
                }
            >
                Somebody answers
            </Button>
            <div className="line">
                <span>Keys or words, menu by menu (2@3: after 3 s)</span>
                <Input
                    aria-label="Keys pressed"
                    size="small"
                    style={{ width: 130 }}
                    placeholder="1 2, 201, sales@3"
                    value={moment.keys}
                    maxLength={60}
                    onChange={(event) => change({ keys: event.target.value.replaceAll(/[^\p{L}0-9*#@,’' -]/gu, '') })}
                />
            </div>
            <div className="line">
                <span>The caller gives up after</span>
                <Select
                    aria-label="The caller gives up after"
                    size="small"
                    style={{ width: 110 }}
                    value={moment.patience ?? 0}
                    options={[0, 15, 30, 60, 120, 300, 600].map((value) => ({
                        value,
                        label: value === 0 ? 'never' : value < 60 ? `${value} s` : `${value / 60} min`,
                    }))}
                    onChange={(value) => change({ patience: value || null })}
                />
            </div>
            <Meanwhile />
            {queues.map((queue) => (
                <div key={queue.id} className="assumed-queue">
                    <span>{queue.name}</span>
                    <QueueStateLine queue={queue} />
                </div>
            ))}
            {(plan?.all('site') ?? []).length > 0 && (
                <div className="line">
                    <span>Sites that are down</span>
                    <Select
                        aria-label="Sites that are down"
                        size="small"
                        mode="multiple"
                        style={{ minWidth: 160 }}
                        placeholder="none"
                        value={moment.down}
                        options={plan?.all('site').map((site) => ({ value: site.id, label: site.name })) ?? []}
                        onChange={(down) => change({ down })}
                    />
                </div>
            )}
            <Checkbox checked={moment.unforced} onChange={(event) => change({ unforced: event.target.checked })}>
                As if no hours were forced, for this call
            </Checkbox>
        </div>
    );
}

/** What one phone, person or everybody does. */
function AssumedPhone({
    one,
    who,
    onChange,
    onThen,
    onRemove,
}: {
    one: Assumed;
    who: { value: string; label: string }[];
    onChange: (part: Partial<Assumed>) => void;
    /** Later in the call the same one does something else. */
    onThen: () => void;
    onRemove: () => void;
}) {
    return (
        <div className="assumption">
            <Select
                aria-label="Who"
                size="small"
                showSearch={BY_LABEL}
                style={{ width: 190 }}
                value={one.who}
                options={who}
                onChange={(next) =>
                    onChange(next === '*' && isStatus(one.does) ? { who: next, does: 'answers' } : { who: next })
                }
            />
            <Select
                aria-label="Does what"
                size="small"
                style={{ width: 130 }}
                value={one.does}
                options={one.who === '*' ? DOES.filter(({ value }) => !isStatus(value)) : DOES}
                onChange={(does) => onChange({ does, after: does === 'on a call' ? null : (one.after ?? 8) })}
            />
            {(one.does === 'answers' || one.does === 'refuses') && (
                <NumberInput
                    label={one.does === 'answers' ? 'Seconds until it is answered' : 'Seconds until it is refused'}
                    unit="s"
                    {...ASSUMED.ringing}
                    value={one.after ?? 0}
                    onSave={(after) => onChange({ after })}
                />
            )}
            {one.does === 'on a call' && (
                <OptionalNumberInput
                    label="Seconds until a second call is answered"
                    open="never"
                    unit="s to answer another"
                    {...ASSUMED.ringing}
                    value={one.after}
                    onSave={(after) => onChange({ after })}
                />
            )}
            {one.from !== undefined && (
                <>
                    <span>from</span>
                    <NumberInput
                        label="Second of the call from which on"
                        unit="s of the call on"
                        {...ASSUMED.ofTheCall}
                        value={one.from}
                        onSave={(from) => onChange({ from })}
                    />
                </>
            )}
            {!isStatus(one.does) && (
                <Button size="small" type="text" onClick={onThen} aria-label="Then something else">
                    then …
                </Button>
            )}
            <RemoveButton label="Remove this assumption" onClick={onRemove} />
        </div>
    );
}

/** Those that the call comes to, and those of which something is stated. */
function useQueuesOfCall(): Queue[] {
    const { moment } = useMoment();
    const plan = usePlan();
    const events = useAnswer().data?.events ?? [];
    const met = events.map((event) => (event.what as { queue?: string }).queue);
    const wanted = new Set([...Object.keys(moment.queues), ...met]);
    return (plan?.all('queue') ?? []).filter((queue) => wanted.has(queue.id));
}

/** Nobody does two things from the same second on: what was set last counts. */
function onceEach(phones: Assumed[], last: number): Assumed[] {
    const set = phones[last];
    return phones.filter((one, i) => i === last || one.who !== set?.who || (one.from ?? 0) !== (set.from ?? 0));
}

/** What the same one does half a minute later than was said so far. */
function thenElse({ who, does }: Assumed, phones: Assumed[]): Assumed {
    const last = Math.max(...phones.filter((one) => one.who === who).map((one) => one.from ?? 0));
    return { who, does: does === 'answers' ? 'busy' : 'answers', after: 8, from: last + 30 };
}

/** The first of whom nothing is assumed yet. */
function unnamed(choices: { value: string }[], phones: Assumed[]): string {
    return choices.find(({ value }) => phones.every((one) => one.who !== value))?.value ?? '*';
}

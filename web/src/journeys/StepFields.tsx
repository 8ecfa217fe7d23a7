import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import type { Exit, Hours, Kind, Step } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { StepRings } from '../ringing/StepRings';
import { ElementPicker } from '../ui/ElementPicker';
import { NumberInput } from '../ui/NumberInput';
import { exitsOf } from './outlineModel';
import { RingFields } from './RingFields';
import { possibleExits } from './stepWords';

type ChangeExits = (change: (exits: Exit[]) => Exit[]) => void;

/** The fields of one step, in a line. */
export function StepFields({
    step,
    onChange,
    onExits,
    onDone,
}: {
    step: Step;
    onChange: (step: Step) => void;
    onExits: ChangeExits;
    onDone: () => void;
}) {
    const plan = usePlan();
    const hours = step.do === 'hours' ? plan?.get('hours', step.hours) : undefined;
    const free = possibleExits(step, hours).filter((one) => !exitsOf(step).some((exit) => exit.on === one.on));
    return (
        <div className="step-fields">
            {step.do === 'say' && (
                <>
                    Say{' '}
                    <Pick
                        label="Prompt"
                        kind="prompt"
                        value={step.prompt}
                        onPick={(prompt) => onChange({ ...step, prompt })}
                    />
                </>
            )}
            {step.do === 'hours' && (
                <>
                    Look at{' '}
                    <Pick
                        label="Hours"
                        kind="hours"
                        value={step.hours}
                        onPick={(next) => onChange({ ...step, hours: next })}
                    />
                </>
            )}
            {step.do === 'menu' && (
                <>
                    Ask with{' '}
                    <Pick
                        label="Prompt"
                        kind="prompt"
                        value={step.prompt}
                        onPick={(prompt) => onChange({ ...step, prompt })}
                    />
                    wait{' '}
                    <NumberInput
                        label="Seconds to wait for a key"
                        unit="s"
                        min={1}
                        max={60}
                        value={step.wait}
                        onSave={(wait) => onChange({ ...step, wait })}
                    />
                    ask{' '}
                    <NumberInput
                        label="Tries"
                        unit="times"
                        min={1}
                        max={10}
                        value={step.tries}
                        onSave={(tries) => onChange({ ...step, tries })}
                    />
                </>
            )}
            {step.do === 'ring' && <RingFields step={step} onChange={onChange} />}
            {step.do === 'message' && (
                <>
                    Take a message into{' '}
                    <Pick
                        label="Mailbox"
                        kind="mailbox"
                        value={step.mailbox}
                        onPick={(mailbox) => onChange({ ...step, mailbox })}
                    />
                </>
            )}
            {step.do === 'go' && (
                <>
                    Go on in{' '}
                    <Pick
                        label="Journey"
                        kind="journey"
                        value={step.journey}
                        onPick={(journey) => onChange({ ...step, journey })}
                    />
                </>
            )}
            {step.do === 'end' && 'End the call'}
            {free.length > 0 && (
                <Select
                    size="small"
                    aria-label="Add an exit"
                    placeholder="Add an exit"
                    value={null}
                    popupMatchSelectWidth={160}
                    options={free.map((one) => ({ value: one.on, label: one.label }))}
                    onChange={(on: string | null) => on && onExits((exits) => [...exits, { on, label: '', steps: [] }])}
                />
            )}
            <Button size="small" onClick={onDone}>
                Done
            </Button>
            {step.do === 'ring' && <StepRings step={step} onChange={onChange} />}
        </div>
    );
}

/** What a step is about, chosen or made right there. */
function Pick({
    label,
    kind,
    value,
    onPick,
}: {
    label: string;
    kind: Kind;
    value: string | null;
    onPick: (id: string | null) => void;
}) {
    return <ElementPicker autoFocus label={label} kinds={[kind]} value={value} onChange={onPick} />;
}

export function ExitFields({
    step,
    exit,
    exitIndex,
    hours,
    onExits,
    onDone,
}: {
    step: Step;
    exit: Exit;
    exitIndex: number;
    hours: Hours | undefined;
    onExits: ChangeExits;
    onDone: () => void;
}) {
    const [label, setLabel] = useState(exit.label);
    const set = (part: Partial<Exit>) =>
        onExits((exits) => exits.map((one, j) => (j === exitIndex ? { ...one, ...part } : one)));
    const options = possibleExits(step, hours).map((one) => ({
        value: one.on,
        label: one.label,
        disabled: one.on !== exit.on && exitsOf(step).some((other) => other.on === one.on),
    }));
    return (
        <div className="step-fields">
            <Select
                aria-label="Exit"
                size="small"
                autoFocus
                value={exit.on}
                options={options}
                popupMatchSelectWidth={160}
                onChange={(on) => set({ on })}
            />
            <Input
                aria-label="What it is for"
                size="small"
                style={{ width: 200 }}
                placeholder="what it is for"
                value={label}
                maxLength={80}
                onChange={(event) => setLabel(event.target.value)}
                onBlur={() => label !== exit.label && set({ label })}
                onPressEnter={() => (label === exit.label ? onDone() : set({ label }))}
            />
            <Button size="small" onClick={onDone}>
                Done
            </Button>
        </div>
    );
}

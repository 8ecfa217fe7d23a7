import { Button, Select } from 'antd';
import type { Exit, HoursOutline, Step } from '../api/types';
import { usePlan } from '../plan/usePlan';
import { LineInput } from '../ui/LineInput';
import { BY_LABEL } from '../ui/searched';
import { exitsOf } from './outlineModel';
import { moduleOf, possibleExits } from './steps';

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
    const { Fields, Picture } = moduleOf(step);
    const free = possibleExits(step, hours, plan).filter((one) => !exitsOf(step).some((exit) => exit.on === one.on));
    return (
        <div className="step-fields">
            <Fields step={step} onChange={onChange} />
            {free.length > 0 && (
                <Select
                    size="small"
                    aria-label="Add an exit"
                    placeholder="Add an exit"
                    showSearch={BY_LABEL}
                    value={null}
                    popupMatchSelectWidth={160}
                    options={free.map((one) => ({ value: one.on, label: one.label }))}
                    onChange={(on: string | null) => on && onExits((exits) => [...exits, { on, label: '', steps: [] }])}
                />
            )}
            <LineInput
                label="Why it is there"
                width={400}
                placeholder="why it is there"
                value={step.why ?? ''}
                onSave={(why) => onChange({ ...step, why })}
                onDone={onDone}
            />
            <Button size="small" onClick={onDone}>
                Done
            </Button>
            {Picture && <Picture step={step} onChange={onChange} />}
        </div>
    );
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
    hours: HoursOutline | undefined;
    onExits: ChangeExits;
    onDone: () => void;
}) {
    const set = (part: Partial<Exit>) =>
        onExits((exits) => exits.map((one, j) => (j === exitIndex ? { ...one, ...part } : one)));
    const plan = usePlan();
    const options = possibleExits(step, hours, plan).map((one) => ({
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
            <LineInput
                label="What it is for"
                width={200}
                placeholder="what it is for"
                value={exit.label}
                maxLength={80}
                onSave={(label) => set({ label })}
                onDone={onDone}
            />
            <Button size="small" onClick={onDone}>
                Done
            </Button>
        </div>
    );
}

import { Checkbox, Select } from 'antd';
import { LIMITS } from '../../api/limits';
import { NumberInput } from '../../ui/NumberInput';
import { DirectoryMore } from './DirectoryMore';
import type { StepModule, StepOf } from './module';
import { Name, Pick } from './parts';
import { WaitAndTries } from './WaitAndTries';

type Directory = StepOf<'directory'>;

const PARTS: { value: Directory['part']; label: string }[] = [
    { value: 'last', label: 'last name' },
    { value: 'first', label: 'first name' },
    { value: 'either', label: 'last or first name' },
];

const EXITS = [
    { on: 'nobody', label: 'nobody is spelled so' },
    { on: '0', label: 'key 0' },
    { on: 'nothing', label: 'nothing pressed' },
    { on: 'dialled', label: 'found, and not answered' },
];

export const directory: StepModule<Directory> = {
    label: 'Directory',
    about: 'reaches people by the letters of their names',
    blank: (id) => ({
        id,
        do: 'directory',
        prompt: null,
        wait: 5,
        tries: 2,
        part: 'last',
        letters: 3,
        most: 3,
        extensions: true,
        dial: { scope: 'everybody', site: null, people: [], digitSeconds: 3, hours: null },
        exits: [],
    }),
    exits: () => EXITS,
    Sentence: ({ step }) => (
        <span>
            Ask for a name with <Name id={step.prompt} missing="no prompt yet" />
            <span className="quiet">
                {' '}
                {PARTS.find(({ value }) => value === step.part)?.label}
                {step.extensions && ' or extension'}
            </span>
        </span>
    ),
    Fields: ({ step, onChange }) => (
        <>
            Ask with{' '}
            <Pick label="Prompt" kind="prompt" value={step.prompt} onPick={(prompt) => onChange({ ...step, prompt })} />
            for the{' '}
            <Select
                aria-label="What is spelled"
                style={{ width: 170 }}
                value={step.part}
                options={PARTS}
                onChange={(part) => onChange({ ...step, part })}
            />
            <Checkbox
                checked={step.extensions}
                onChange={(event) => onChange({ ...step, extensions: event.target.checked })}
            >
                or the extension
            </Checkbox>
            <NumberInput
                label="Letters that are enough"
                unit="letters are enough;"
                {...LIMITS.directory.letters}
                value={step.letters}
                onSave={(letters) => onChange({ ...step, letters })}
            />
            up to{' '}
            <NumberInput
                label="People who are read out"
                unit="are read out;"
                {...LIMITS.directory.most}
                value={step.most}
                onSave={(most) => onChange({ ...step, most })}
            />
            <WaitAndTries step={step} onChange={(patience) => onChange({ ...step, ...patience })} />
        </>
    ),
    Picture: DirectoryMore,
};

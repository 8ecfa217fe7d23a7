import { usualSite } from '../../plan/kinds';
import { usePlan } from '../../plan/usePlan';
import { ElementPicker } from '../../ui/ElementPicker';
import { LineInput } from '../../ui/LineInput';
import { PhoneNumberField } from '../../ui/PhoneNumberField';
import type { StepModule, StepOf } from './module';
import { Name } from './parts';

const EXITS = [
    { on: 'busy', label: 'busy' },
    { on: 'unreachable', label: 'unreachable' },
    { on: 'not carried', label: 'no line carries it' },
];

export const forward: StepModule<StepOf<'forward'>> = {
    label: 'Forward',
    about: 'to a number outside, for good',
    blank: (id) => ({ id, do: 'forward', number: null, line: null, shows: null, digits: '', exits: [] }),
    exits: () => EXITS,
    Sentence: ({ step }) => (
        <span>
            Send on to <Name id={step.number || null} missing="no number yet" />
            <span className="quiet"> for good</span>
        </span>
    ),
    Fields: ({ step, onChange }) => {
        const plan = usePlan();
        return (
            <>
                Send on to{' '}
                <PhoneNumberField
                    label="Number to send calls to"
                    country={(plan && usualSite(plan)?.country) ?? 'GB'}
                    site=""
                    value={step.number ?? ''}
                    onSave={(number) => onChange({ ...step, number })}
                />
                by{' '}
                <ElementPicker
                    label="Line for calls sent on"
                    kinds={['line']}
                    clearable
                    placeholder="any line that may"
                    value={step.line}
                    onChange={(line) => onChange({ ...step, line })}
                />
                showing{' '}
                <ElementPicker
                    label="Number shown where calls are sent on"
                    kinds={['number']}
                    clearable
                    placeholder="the caller’s number"
                    value={step.shows}
                    onChange={(shows) => onChange({ ...step, shows })}
                />
                then sending{' '}
                <LineInput
                    label="Digits sent when it is answered"
                    placeholder="no digits"
                    maxLength={30}
                    width={120}
                    size="middle"
                    value={step.digits}
                    read={(typed) => typed.replaceAll(/[^0-9*#,]/g, '')}
                    onSave={(digits) => onChange({ ...step, digits })}
                />
            </>
        );
    },
};

import { Button, Select } from 'antd';
import type { Hours } from '../api/types';
import { usePlan } from '../plan/usePlan';
import type { EditorProps } from '../ui/ElementScreen';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';

const LIFT = '';

/** Codes that staff dial on any extension to force these hours into a state, or to lift it. */
export function Codes({ value, change, error, disabled }: EditorProps<Hours>) {
    const plan = usePlan();
    const codes = value.codes;
    const set = (i: number, part: Partial<Hours['codes'][number]>) =>
        change({ ...value, codes: codes.map((one, j) => (i === j ? { ...one, ...part } : one)) });
    const add = () => {
        const taken = new Set((plan?.all('hours') ?? []).flatMap((one) => one.codes.map((code) => code.code)));
        for (const one of codes) taken.add(one.code);
        let free = 20;
        while (taken.has(`*${free}`)) free++;
        const state = codes.length === 0 ? (value.states.find((one) => !one.open)?.key ?? value.default) : null;
        change({ ...value, codes: [...codes, { code: `*${free}`, state, ends: 'until lifted' }] });
    };
    return (
        <>
            <h2>Codes to dial</h2>
            {codes.length === 0 && (
                <p className="quiet">None: these hours can be forced on screen only, not from a desk phone.</p>
            )}
            {codes.map((code, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a code may be typed anew, and keeps its place
                <div className="line-row wrap" key={i}>
                    <LineInput
                        label="Code"
                        width={76}
                        value={code.code}
                        disabled={disabled}
                        onSave={(typed) => set(i, { code: typed })}
                    />
                    <Select
                        aria-label={`What ${code.code} does`}
                        size="small"
                        style={{ width: 190 }}
                        value={code.state ?? LIFT}
                        disabled={disabled}
                        options={[
                            ...value.states.map((one) => ({ value: one.key, label: `forces into ${one.name}` })),
                            { value: LIFT, label: 'lifts what is forced' },
                        ]}
                        onChange={(state) => set(i, { state: state || null })}
                    />
                    {code.state !== null && (
                        <Select
                            aria-label={`When ${code.code} ends`}
                            size="small"
                            style={{ width: 190 }}
                            value={code.ends}
                            disabled={disabled}
                            options={[
                                { value: 'until lifted', label: 'until it is lifted' },
                                { value: 'next change', label: 'until the next change' },
                            ]}
                            onChange={(ends) => set(i, { ends })}
                        />
                    )}
                    {!disabled && (
                        <RemoveButton
                            label={`Remove the code ${code.code}`}
                            onClick={() => change({ ...value, codes: codes.toSpliced(i, 1) })}
                        />
                    )}
                    {error(`/codes/${i}`) && (
                        <span className="alarm" role="alert">
                            {error(`/codes/${i}`)}
                        </span>
                    )}
                </div>
            ))}
            {!disabled && (
                <Button size="small" onClick={add}>
                    Add a code
                </Button>
            )}
        </>
    );
}

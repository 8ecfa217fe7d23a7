import { useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useEffect, useState } from 'react';
import { api, ask } from '../api/client';
import { usePlan } from '../plan/usePlan';
import { Field } from './Field';

interface Understood {
    number: string;
    international: string;
    leaves?: { line: string | null; name: string | null; destination: string; dials: string } | null;
}

/** A phone number as people type it; shows how it is understood, and saves it in international form. */
export function PhoneNumberField(props: {
    label: string;
    value: string;
    country: string;
    /** Where a call to it would leave from: then the field tells by which line, while it is being typed. */
    site?: string;
    onSave: (e164: string) => void;
    disabled?: boolean;
    error?: string | undefined;
}) {
    const { label, value, country, site, onSave, disabled = false, error } = props;
    const [text, setText] = useState<string | null>(null);
    useEffect(() => {
        if (value) setText(null);
    }, [value]);
    const read = useUnderstood(text ?? value, country, site);
    const understood = read.data;
    const commit = async () => {
        if (text === null) return;
        const number = understood ?? (await read.refetch()).data;
        if (number && number.number !== value) onSave(number.number);
        if (number) setText(null);
    };
    const refused = text && read.error ? read.error.message : undefined;
    return (
        <Field label={label} error={error ?? refused} hint={<Hint understood={understood} typing={Boolean(text)} />}>
            {(a11y) => (
                <Input
                    {...a11y}
                    inputMode="tel"
                    disabled={disabled}
                    value={text ?? understood?.international ?? value}
                    onChange={(event) => setText(event.target.value)}
                    onBlur={commit}
                    onPressEnter={commit}
                    onKeyDown={(event) => {
                        if (event.key !== 'Escape' || text === null) return;
                        event.stopPropagation();
                        setText(null);
                    }}
                />
            )}
        </Field>
    );
}

function Hint({ understood, typing }: { understood: Understood | undefined; typing: boolean }) {
    const leaves = understood?.leaves;
    if (leaves && leaves.line === null)
        return <span className="alarm">No outside line may carry this call ({leaves.destination})</span>;
    return (
        <>
            {typing && understood
                ? `Understood as ${understood.international}`
                : !leaves && 'Type it as you would dial it'}
            {leaves && ` ${leaves.destination}: leaves by ${leaves.name} as ${leaves.dials}`}
        </>
    );
}

function useUnderstood(text: string, country: string, site?: string) {
    const plan = usePlan();
    return useQuery<Understood>({
        queryKey: ['phone-number', text, country, site, site === undefined ? 0 : plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/phone-numbers', {
                    params: { query: { text, country, ...(site === undefined ? {} : { site }) } },
                }),
            ),
        enabled: text.trim() !== '',
        staleTime: Number.POSITIVE_INFINITY,
    });
}

/** A stored number for reading, with spaces. */
export function PhoneNumberText({ number }: { number: string }) {
    const known = usePlan()?.international(number);
    return known ? <span className="figures">{known}</span> : <AskedNumberText number={number} />;
}

function AskedNumberText({ number }: { number: string }) {
    const read = useUnderstood(number, '');
    return <span className="figures">{read.data?.international ?? number}</span>;
}

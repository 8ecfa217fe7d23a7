import { useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useEffect, useState } from 'react';
import { api, ask } from '../api/client';
import { usePlan } from '../plan/usePlan';
import { Field } from './Field';

/** A phone number as people type it; shows how it is understood, and saves it in international form. */
export function PhoneNumberField(props: {
    label: string;
    value: string;
    country: string;
    onSave: (e164: string) => void;
    disabled?: boolean;
    error?: string | undefined;
}) {
    const { label, value, country, onSave, disabled = false, error } = props;
    const [text, setText] = useState<string | null>(null);
    useEffect(() => {
        if (value) setText(null);
    }, [value]);
    const read = useUnderstood(text ?? value, country);
    const understood = read.data;
    const commit = async () => {
        if (text === null) return;
        const number = understood ?? (await read.refetch()).data;
        if (number && number.number !== value) onSave(number.number);
        if (number) setText(null);
    };
    const refused = text && read.error ? read.error.message : undefined;
    return (
        <Field
            label={label}
            error={error ?? refused}
            hint={text && understood ? `Understood as ${understood.international}` : 'Type it as you would dial it'}
        >
            {(a11y) => (
                <Input
                    {...a11y}
                    inputMode="tel"
                    disabled={disabled}
                    value={text ?? understood?.international ?? value}
                    onChange={(event) => setText(event.target.value)}
                    onBlur={commit}
                    onPressEnter={commit}
                />
            )}
        </Field>
    );
}

function useUnderstood(text: string, country: string) {
    return useQuery({
        queryKey: ['phone-number', text, country],
        queryFn: () => ask(api.GET('/api/phone-numbers', { params: { query: { text, country } } })),
        enabled: text.trim() !== '',
        staleTime: Number.POSITIVE_INFINITY,
        retry: false,
    });
}

/** A stored number for reading, with spaces. */
export function PhoneNumberText({ number }: { number: string }) {
    const known = usePlan()?.plan.international[number];
    return known ? <span className="figures">{known}</span> : <AskedNumberText number={number} />;
}

function AskedNumberText({ number }: { number: string }) {
    const read = useUnderstood(number, 'ZZ');
    return <span className="figures">{read.data?.international ?? number}</span>;
}

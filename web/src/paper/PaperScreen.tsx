import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Radio, Select } from 'antd';
import { useRef, useState } from 'react';
import { api, ask } from '../api/client';
import { useEditions } from '../editions/useEditions';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { BY_LABEL } from '../ui/searched';
import styles from './paper.module.css';

const LANGUAGES = [
    { value: 'en', label: 'In English' },
    { value: 'fr', label: 'In French' },
] as const;

type Language = (typeof LANGUAGES)[number]['value'];

const KINDS_OF_PAPER = [
    { value: 'paper', label: 'All of it, step by step' },
    { value: 'brief', label: 'In brief: who answers when' },
] as const;

type KindOfPaper = (typeof KINDS_OF_PAPER)[number]['value'];

/** The plan on paper: to read through, to explain, and to sign. */
export function PaperScreen() {
    const { moment } = useMoment();
    const plan = usePlan();
    const editions = useEditions();
    const [kind, setKind] = useState<KindOfPaper>('paper');
    const [language, setLanguage] = useState<Language>('en');
    const [number, setNumber] = useState<string | null>(null);
    const [before, setBefore] = useState<string | null>(null);
    const frame = useRef<HTMLIFrameElement>(null);
    const isBrief = kind === 'brief';
    const query = {
        language,
        ...(isBrief && before ? { before } : {}),
        ...(number ? { number } : {}),
    } as Record<string, string>;
    const page = useQuery({
        queryKey: ['paper', kind, moment.in, query, plan?.stamp],
        queryFn: () => {
            const path = { which: moment.in, format: 'html' as const };
            return ask<unknown>(
                isBrief
                    ? api.GET('/api/plans/{which}/brief.{format}', { params: { path, query }, parseAs: 'text' })
                    : api.GET('/api/plans/{which}/paper.{format}', { params: { path, query }, parseAs: 'text' }),
            );
        },
        placeholderData: keepPreviousData,
    });
    const isWritten = page.isError || (page.isSuccess && !page.isPlaceholderData);
    const file = (format: string) => `/api/plans/${moment.in}/${kind}.${format}?${new URLSearchParams(query)}`;
    return (
        <div className="one">
            <section className="sheet" aria-label="On paper">
                <h1>On paper</h1>
                <p className="quiet">
                    What callers go through with its words, hours and holidays of the year ahead, who rings: dated, and
                    to be signed.
                </p>
                <div className={`line-row wrap ${styles.acts}`}>
                    <Radio.Group
                        optionType="button"
                        aria-label="Kind of paper"
                        value={kind}
                        options={[...KINDS_OF_PAPER]}
                        onChange={(event) => setKind(event.target.value)}
                    />
                    <Radio.Group
                        optionType="button"
                        aria-label="Language of the paper"
                        value={language}
                        options={[...LANGUAGES]}
                        onChange={(event) => setLanguage(event.target.value)}
                    />
                    <Select
                        aria-label="What it is about"
                        allowClear
                        showSearch={BY_LABEL}
                        style={{ width: 260 }}
                        placeholder="the whole plan"
                        value={number}
                        options={(plan?.all('number') ?? []).map((one) => ({
                            value: one.id,
                            label: `Behind ${one.name}`,
                        }))}
                        onChange={(chosen?: string) => setNumber(chosen ?? null)}
                    />
                    {isBrief && (
                        <Select
                            aria-label="What it is compared with"
                            allowClear
                            style={{ width: 190 }}
                            placeholder="by itself"
                            value={before}
                            options={[
                                { value: 'live', label: 'beside what is live' },
                                ...editions.map((one) => ({
                                    value: String(one.number),
                                    label: `beside edition ${one.number}`,
                                })),
                            ].filter((one) => one.value !== moment.in)}
                            onChange={(chosen?: string) => setBefore(chosen ?? null)}
                        />
                    )}
                    <Button onClick={() => frame.current?.contentWindow?.print()}>Print</Button>
                    <Button href={file('pdf')}>Keep as PDF</Button>
                    {isBrief && <Button href={file('md')}>Keep as Markdown</Button>}
                    <span className="quiet" role="status">
                        {isWritten ? '' : 'It is being written …'}
                    </span>
                </div>
                {page.error ? (
                    <p className="notice alarm">{page.error.message}</p>
                ) : (
                    <iframe
                        ref={frame}
                        className={styles.page}
                        title="The paper"
                        aria-busy={!isWritten}
                        srcDoc={String(page.data ?? '')}
                    />
                )}
            </section>
        </div>
    );
}

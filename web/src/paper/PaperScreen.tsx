import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Radio, Select } from 'antd';
import { useRef, useState } from 'react';
import { api, ask } from '../api/client';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import styles from './paper.module.css';

const LANGUAGES = [
    { value: 'en', label: 'In English' },
    { value: 'fr', label: 'In French' },
] as const;

type Language = (typeof LANGUAGES)[number]['value'];

/** The plan on paper: to read through, to explain, and to sign. */
export function PaperScreen() {
    const { moment } = useMoment();
    const plan = usePlan();
    const [language, setLanguage] = useState<Language>('en');
    const [number, setNumber] = useState<string | null>(null);
    const frame = useRef<HTMLIFrameElement>(null);
    const query = { language, ...(number ? { number } : {}) };
    const page = useQuery({
        queryKey: ['paper', moment.in, query, plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/paper.{format}', {
                    params: { path: { which: moment.in, format: 'html' }, query },
                    parseAs: 'text',
                }),
            ),
        placeholderData: keepPreviousData,
        retry: false,
    });
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
                        aria-label="Language of the paper"
                        value={language}
                        options={[...LANGUAGES]}
                        onChange={(event) => setLanguage(event.target.value)}
                    />
                    <Select
                        aria-label="What it is about"
                        allowClear
                        showSearch={{ optionFilterProp: 'label' }}
                        style={{ width: 260 }}
                        placeholder="the whole plan"
                        value={number}
                        options={(plan?.all('number') ?? []).map((one) => ({
                            value: one.id,
                            label: `Behind ${one.name}`,
                        }))}
                        onChange={(chosen?: string) => setNumber(chosen ?? null)}
                    />
                    <Button onClick={() => frame.current?.contentWindow?.print()}>Print</Button>
                    <Button href={`/api/plans/${moment.in}/paper.pdf?${new URLSearchParams(query)}`}>
                        Keep as PDF
                    </Button>
                </div>
                {page.error ? (
                    <p className="notice alarm">{page.error.message}</p>
                ) : (
                    <iframe ref={frame} className={styles.page} title="The paper" srcDoc={String(page.data ?? '')} />
                )}
            </section>
        </div>
    );
}

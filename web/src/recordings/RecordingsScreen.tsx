import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Radio, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { WantedRecording } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { PlayPrompt } from '../sound/PlayButton';
import { languageName } from '../ui/LanguageSelect';
import { type Column, LongTable } from '../ui/LongTable';
import { BY_LABEL } from '../ui/searched';
import { BringRecordings } from './BringRecordings';

const STATES: Record<WantedRecording['state'], string> = {
    'no take': 'the machine reads it',
    'other words': 'recorded from other words',
    recorded: 'recorded',
};

type Query = { what: 'all' | 'missing'; language?: string; voice?: string; journey?: string };

/** What is to be recorded, as a sheet for whoever reads it; and the files that come back. */
export function RecordingsScreen() {
    const { moment, search } = useMoment();
    const plan = usePlan();
    const [query, setQuery] = useState<Query>({ what: 'missing' });
    const { data } = useQuery({
        queryKey: ['recordings', moment.in, query, plan?.stamp],
        queryFn: () => ask(api.GET('/api/plans/{which}/recordings', { params: { path: { which: moment.in }, query } })),
        placeholderData: keepPreviousData,
    });
    const rows = data?.rows ?? [];
    const seconds = rows.reduce((sum, row) => sum + row.seconds, 0);
    const put = (part: Partial<Query>) =>
        setQuery(
            (before) =>
                Object.fromEntries(Object.entries({ ...before, ...part }).filter(([, one]) => one != null)) as Query,
        );
    const sheet = (format: string) =>
        `/api/plans/${moment.in}/recording-sheet.${format}?${new URLSearchParams(query as Record<string, string>)}`;
    const columns: Column<WantedRecording>[] = [
        {
            title: 'Caption',
            width: 210,
            by: (row) => row.caption,
            cell: (row) => (
                <>
                    <Link to={{ pathname: `/prompts/${row.prompt}`, search }}>{row.caption}</Link>
                    <PlayPrompt id={row.prompt} language={row.language} />
                </>
            ),
        },
        { title: 'Lang.', width: 62, by: (row) => row.language, cell: (row) => row.language },
        {
            title: 'Voice',
            width: 130,
            by: (row) => row.voice,
            cell: (row) => row.voice || <span className="quiet">any</span>,
        },
        { title: 'Words', by: (row) => row.script, cell: (row) => row.script },
        {
            title: 'Length',
            width: 75,
            by: (row) => row.seconds,
            cell: (row) => <span className="figures">{row.seconds} s</span>,
        },
        { title: 'File', width: 190, by: (row) => row.file, cell: (row) => <code>{row.file}.wav</code> },
        { title: 'Now', width: 130, by: (row) => row.state, cell: (row) => STATES[row.state] },
    ];
    return (
        <div className="one">
            <section className="sheet" aria-label="Recordings">
                <h1>Recordings</h1>
                <p className="quiet">
                    A sheet for whoever reads the scripts: what, in which words, how long, and how to name the files.
                    Named so, they find their places when they come back.
                </p>
                <div className="line-row wrap">
                    <Radio.Group
                        optionType="button"
                        aria-label="What the sheet holds"
                        value={query.what}
                        options={[
                            { value: 'missing', label: 'What has no fitting take' },
                            { value: 'all', label: 'Everything' },
                        ]}
                        onChange={(event) => put({ what: event.target.value })}
                    />
                    <Filter
                        label="Language of the scripts"
                        placeholder="in every language"
                        value={query.language}
                        options={(data?.languages ?? []).map((value) => ({ value, label: languageName(value) }))}
                        onChange={(language) => put({ language })}
                    />
                    <Filter
                        label="Voice"
                        placeholder="for every voice"
                        value={query.voice}
                        options={[
                            ...(data?.voices ?? []).map((value) => ({ value, label: value })),
                            { value: '', label: 'for nobody yet' },
                        ]}
                        onChange={(voice) => put({ voice })}
                    />
                    <Filter
                        label="Heard in"
                        placeholder="in every journey"
                        value={query.journey}
                        options={(plan?.all('journey') ?? []).map((one) => ({ value: one.id, label: one.name }))}
                        onChange={(journey) => put({ journey })}
                    />
                    <Button href={sheet('html')} target="_blank">
                        Open to print
                    </Button>
                    <Button href={sheet('pdf')}>Keep as PDF</Button>
                </div>
                <p className="figures" role="status">
                    {rows.length === 1 ? 'One script' : `${rows.length} scripts`}, about {Math.ceil(seconds / 60)} min
                    of speech
                </p>
                <LongTable
                    label="What is to be recorded"
                    rows={rows}
                    columns={columns}
                    rowKey={(row) => row.file}
                    sortedBy="Voice"
                    empty={
                        query.what === 'missing' && plan?.all('prompt').length !== 0
                            ? 'Every script has a take that fits it.'
                            : 'There are no scripts.'
                    }
                />
            </section>
            {moment.in === 'draft' && <BringRecordings />}
        </div>
    );
}

function Filter(props: {
    label: string;
    placeholder: string;
    value: string | undefined;
    options: { value: string; label: string }[];
    onChange: (value: string | undefined) => void;
}) {
    return (
        <Select
            allowClear
            aria-label={props.label}
            style={{ width: 170 }}
            showSearch={BY_LABEL}
            placeholder={props.placeholder}
            value={props.value}
            options={props.options}
            onChange={(value?: string) => props.onChange(value)}
        />
    );
}

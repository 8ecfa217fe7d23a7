import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { Link, useParams } from 'react-router';
import { api, ask } from '../api/client';
import type { JourneyMapData } from '../api/types';
import { toTrialCall } from '../moment/trialCall';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useGo, useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { keepFile } from '../ui/keepFile';
import { BY_LABEL } from '../ui/searched';
import styles from './map.module.css';

/** A journey, or all that are behind a number, as pictures with the way of the trial call: to look at, to print, to keep. */
export function MapScreen() {
    const { id } = useParams();
    const plan = usePlan();
    const go = useGo();
    const live = useLiveStamp();
    const { moment, search } = useMoment();
    const journeys = plan?.all('journey') ?? [];
    const numbers = plan?.all('number') ?? [];
    const of = plan?.get('journey', id) ?? plan?.get('number', id) ?? journeys[0];
    const call = toTrialCall(moment);
    const map = useQuery({
        queryKey: ['map', of?.id, call, plan?.stamp, live],
        queryFn: () => ask(api.POST('/api/journey-maps', { body: { call, of: of?.id ?? '' } })),
        enabled: Boolean(of && moment.to && moment.at),
        placeholderData: keepPreviousData,
    });
    const print = useMutation({
        mutationFn: () => ask(api.POST('/api/journey-maps.pdf', { body: { call, of: of?.id ?? '' }, parseAs: 'blob' })),
        onSuccess: (file) => keepFile(file as unknown as Blob, `${of?.name}.pdf`),
    });
    if (!of) return <p className="quiet pad">There is no journey yet.</p>;
    const maps = map.data?.maps ?? [];
    return (
        <div className="one">
            <section className="sheet" aria-label="Map">
                <h1>{of.kind === 'number' ? `Behind ${of.name}` : of.name}</h1>
                <div className={`line-row wrap ${styles.acts}`}>
                    <Select
                        aria-label="Map of"
                        showSearch={BY_LABEL}
                        style={{ width: 260 }}
                        value={of.id}
                        options={[
                            {
                                label: 'Journeys',
                                title: 'Journeys',
                                options: journeys.map((one) => ({ value: one.id, label: one.name })),
                            },
                            {
                                label: 'Everything behind a number',
                                title: 'Everything behind a number',
                                options: numbers.map((one) => ({ value: one.id, label: one.name })),
                            },
                        ]}
                        onChange={(chosen) => go(`/map/${chosen}`)}
                    />
                    <Button onClick={() => window.print()}>Print</Button>
                    <Button loading={print.isPending} onClick={() => print.mutate()}>
                        Keep as PDF
                    </Button>
                    <Link to={{ pathname: '/paper', search }}>The whole plan on paper</Link>
                </div>
                {map.error && <p className="notice alarm">{map.error.message}</p>}
                {maps.length > 0 && !maps.some((one) => one.isPassed) && (
                    <p className="quiet">The call of the bar does not come through here.</p>
                )}
                {map.data && maps.length === 0 && (
                    <p className="quiet">No journey is behind it: calls go straight to whoever takes them.</p>
                )}
                {maps.map((one) => (
                    <Picture key={one.journey} map={one} isAlone={maps.length === 1 && of.kind === 'journey'} />
                ))}
            </section>
        </div>
    );
}

function Picture({ map, isAlone }: { map: JourneyMapData; isAlone: boolean }) {
    const { search } = useMoment();
    return (
        <section className={styles.map} aria-label={map.name}>
            <div className="line-row wrap">
                {!isAlone && <h2>{map.name}</h2>}
                <Button
                    size="small"
                    className={styles.acts}
                    onClick={() => keepFile(standalone(map.svg), `${map.name}.svg`)}
                >
                    Keep as SVG
                </Button>
                <Link className={styles.acts} to={{ pathname: `/journeys/${map.journey}`, search }}>
                    Edit it as an outline
                </Link>
            </div>
            {/* biome-ignore lint/security/noDangerouslySetInnerHtml: the server draws it, and escapes what stands in it */}
            <div className={styles.picture} dangerouslySetInnerHTML={{ __html: map.svg }} />
        </section>
    );
}

/** A picture as a file of its own: colours of the theme become those on paper. */
function standalone(svg: string): Blob {
    const text = svg.replaceAll(/var\(--[a-z]+, (#[0-9a-f]{6})\)/g, '$1');
    return new Blob([`<?xml version="1.0" encoding="UTF-8"?>\n${text}`], { type: 'image/svg+xml' });
}

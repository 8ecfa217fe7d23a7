import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useRef } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask } from '../api/client';
import { useLiveStamp } from '../moment/useLiveStamp';
import { toTrialCall, useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { JourneyMap } from './JourneyMap';
import styles from './map.module.css';
import { standalone } from './svg';

/** A journey as a picture, with the way of the trial call: to look at, to print, to keep. */
export function MapScreen() {
    const { id } = useParams();
    const plan = usePlan();
    const go = useNavigate();
    const live = useLiveStamp();
    const { moment, search } = useMoment();
    const picture = useRef<HTMLDivElement>(null);
    const journeys = plan?.all('journey') ?? [];
    const journey = journeys.find((one) => one.id === id) ?? journeys[0];
    const call = toTrialCall(moment);
    const map = useQuery({
        queryKey: ['map', journey?.id, call, plan?.stamp, live],
        queryFn: () => ask(api.POST('/api/journey-maps', { body: { call, journey: journey?.id ?? '' } })),
        enabled: Boolean(journey && moment.to && moment.at),
        placeholderData: keepPreviousData,
        retry: false,
    });
    if (!journey) return <p className="quiet pad">There is no journey yet.</p>;
    const keep = () => {
        const svg = picture.current?.querySelector('svg');
        if (!svg) return;
        const link = document.createElement('a');
        link.href = URL.createObjectURL(new Blob([standalone(svg)], { type: 'image/svg+xml' }));
        link.download = `${journey.name}.svg`;
        link.click();
        URL.revokeObjectURL(link.href);
    };
    return (
        <div className="one">
            <section className="sheet" aria-label="Map">
                <h1>{journey.name}</h1>
                <div className={`line-row wrap ${styles.acts}`}>
                    <Select
                        aria-label="Journey"
                        showSearch={{ optionFilterProp: 'label' }}
                        style={{ width: 240 }}
                        value={journey.id}
                        options={journeys.map((one) => ({ value: one.id, label: one.name }))}
                        onChange={(chosen) => go({ pathname: `/map/${chosen}`, search })}
                    />
                    <Button onClick={() => window.print()}>Print</Button>
                    <Button onClick={keep}>Keep as SVG</Button>
                    <Link to={{ pathname: `/journeys/${journey.id}`, search }}>Edit it as an outline</Link>
                </div>
                {map.error && <p className="notice alarm">{map.error.message}</p>}
                {map.data?.course.length === 0 && (
                    <p className="quiet">The call of the bar does not come through this journey.</p>
                )}
                <div ref={picture} className={styles.picture}>
                    {map.data && <JourneyMap map={map.data} name={journey.name} />}
                </div>
            </section>
        </div>
    );
}

import { Button, Popover, Select } from 'antd';
import { useEffect, useMemo } from 'react';
import { useEditions } from '../editions/useEditions';
import { usePlan } from '../plan/usePlan';
import { LineInput } from '../ui/LineInput';
import { BY_LABEL } from '../ui/searched';
import { AssumptionsEditor } from './AssumptionsEditor';
import { assumptionsInWords } from './assumptionsInWords';
import { ClockInput } from './ClockInput';
import { DayInput } from './DayInput';
import { NumberCalled } from './NumberCalled';
import { nowIn } from './now';
import { useMomentZone } from './useAnswer';
import { useMoment } from './useMoment';

/** The trial call, read as a sentence; every screen shows itself for it. */
export function MomentBar() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const zone = useMomentZone();
    const editions = useEditions();
    const numbers = useMemo(() => plan?.all('number') ?? [], [plan]);

    useEffect(() => {
        const first = numbers.find((one) => one.target?.startsWith('jrn_')) ?? numbers[0];
        if (plan && (!moment.at || (!moment.to && first))) {
            // A number that is chosen here brings the zone in which the moment is read from then on.
            const read = moment.zone || moment.to || !first ? zone : (plan.get('site', first.site)?.zone ?? zone);
            change({ at: moment.at || nowIn(read), to: moment.to || (first?.number ?? '') });
        }
    }, [plan, numbers, moment.at, moment.to, moment.zone, zone, change]);

    const siteZones = (plan?.all('site') ?? []).map((site) => site.zone).join(' ');
    const zones = useMemo(() => zoneOptions(siteZones.split(' ').filter(Boolean), zone), [siteZones, zone]);
    const [date = '', time = ''] = moment.at.split('T');
    const setAt = (nextDate: string, nextTime: string) =>
        nextDate && nextTime && change({ at: `${nextDate}T${nextTime.length === 5 ? `${nextTime}:00` : nextTime}` });

    return (
        <section className="moment" aria-label="Trial call">
            <span>A call to</span>
            <NumberCalled />
            <span>from</span>
            <LineInput
                label="Caller"
                className="from"
                size="middle"
                placeholder="withheld"
                value={moment.from}
                read={(typed) => typed.trim()}
                onSave={(from) => change({ from })}
            />
            <span>on {weekday(date)}</span>
            <DayInput value={date} onSave={(day) => setAt(day, time || '12:00:00')} />
            <span>at</span>
            <ClockInput value={time} onSave={(next) => setAt(date, next)} />
            <Select
                aria-label="Zone of the time"
                className="zone"
                showSearch={BY_LABEL}
                value={zone}
                labelRender={({ value }) => String(value).split('/').at(-1)?.replaceAll('_', ' ')}
                popupMatchSelectWidth={240}
                options={zones}
                onChange={(next) => change({ zone: next })}
            />
            <Button type="text" size="small" onClick={() => change({ at: nowIn(zone) })}>
                Now
            </Button>
            <span>in</span>
            <Select
                aria-label="Plan"
                className="in"
                value={moment.in}
                popupMatchSelectWidth={200}
                options={[
                    { value: 'draft', label: 'the draft' },
                    { value: 'live', label: 'live', disabled: editions.length === 0 },
                    ...editions.map((edition) => ({
                        value: String(edition.number),
                        label: `edition ${edition.number}`,
                    })),
                ]}
                onChange={(which) => change({ in: which })}
            />
            <span className="assuming">
                if
                <Popover trigger="click" placement="bottomRight" destroyOnHidden content={<AssumptionsEditor />}>
                    <Button
                        size="small"
                        className="what-if"
                        title={assumptionsInWords(moment, plan)}
                        aria-label={`Assuming: ${assumptionsInWords(moment, plan)}`}
                    >
                        <span>{assumptionsInWords(moment, plan)}</span>
                    </Button>
                </Popover>
            </span>
        </section>
    );
}

/** Asked for once: the list is long, and the bar is drawn again with every edit. */
const ZONES = Intl.supportedValuesOf('timeZone');

function zoneOptions(siteZones: string[], current: string) {
    const all = [...new Set([current, ...siteZones, ...ZONES])];
    return all.map((zone) => ({ value: zone, label: zone }));
}

function weekday(date: string): string {
    const day = new Date(`${date}T12:00:00Z`);
    return Number.isNaN(day.getTime()) ? '' : day.toLocaleDateString('en-GB', { weekday: 'short', timeZone: 'UTC' });
}

import { Checkbox, Input, Select } from 'antd';
import { usePlan } from '../plan/usePlan';
import { OptionalNumberInput } from '../ui/OptionalNumberInput';
import { BY_LABEL } from '../ui/searched';
import { ASSUMED } from './assumedLimits';
import { isParkedStated } from './moment';
import { useAnswer } from './useAnswer';
import { useMoment } from './useMoment';

const PARKS = ['parked', 'not parked'];
const FAXES = ['fax', 'no fax'];

/** Keys that are pressed while phones ring or something plays; a fax machine and a parked call, where the call comes to such a step. */
export function Meanwhile() {
    const { moment, change } = useMoment();
    const kinds = (useAnswer().data?.events ?? []).map((event) => event.kind);
    return (
        <>
            <div className="line">
                <span>Keys while it rings or plays (0@6: after 6 s)</span>
                <Input
                    aria-label="Keys while it rings or plays"
                    size="small"
                    style={{ width: 130 }}
                    placeholder="0@6"
                    value={moment.meanwhile}
                    maxLength={60}
                    onChange={(event) => change({ meanwhile: event.target.value.replaceAll(/[^0-9*#@, -]/g, '') })}
                />
            </div>
            {(moment.fax || kinds.some((kind) => FAXES.includes(kind))) && (
                <Checkbox checked={moment.fax} onChange={(event) => change({ fax: event.target.checked })}>
                    It is a fax
                </Checkbox>
            )}
            {(isParkedStated(moment) || kinds.some((kind) => PARKS.includes(kind))) && <Parked />}
        </>
    );
}

function Parked() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const { parked } = moment;
    const set = (part: Partial<typeof parked>) => change({ parked: { ...parked, ...part } });
    const places = (plan?.all('site') ?? []).flatMap((site) => site.parkPlaces);
    return (
        <>
            <div className="line">
                <span>The parked call is taken after</span>
                <span className="line-row tight">
                    <OptionalNumberInput
                        label="Seconds until the parked call is taken"
                        open="never"
                        unit="s by"
                        {...ASSUMED.ofTheCall}
                        value={parked.takenAfter}
                        onSave={(takenAfter) => set({ takenAfter })}
                    />
                    <Select
                        aria-label="Who takes the parked call"
                        size="small"
                        showSearch={BY_LABEL}
                        style={{ width: 150 }}
                        value={parked.by ?? ''}
                        options={[
                            { value: '', label: 'somebody there' },
                            ...(plan?.all('person') ?? []).map(({ id, name }) => ({ value: id, label: name })),
                        ]}
                        onChange={(by) => set({ by: by || null })}
                    />
                </span>
            </div>
            <div className="line">
                <span>Other calls are parked at</span>
                <Select
                    aria-label="Park places that are taken"
                    size="small"
                    mode="multiple"
                    style={{ minWidth: 110 }}
                    placeholder="none"
                    value={parked.taken}
                    options={places.map((place) => ({ value: place, label: place }))}
                    onChange={(taken) => set({ taken })}
                />
            </div>
        </>
    );
}

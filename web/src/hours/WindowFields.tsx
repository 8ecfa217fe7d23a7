import { Select } from 'antd';
import type { Day, Window } from '../api/types';
import { RemoveButton } from '../ui/RowButtons';
import { DAY_NAMES, DAYS } from './bands';
import { TimeInput } from './TimeInput';

/** A window of time on some days of the week. */
export function WindowFields({
    name,
    window,
    site,
    disabled,
    onChange,
    onRemove,
}: {
    name: string;
    window: Window;
    site: string | undefined;
    disabled: boolean;
    onChange: (part: Partial<Window>) => void;
    onRemove: () => void;
}) {
    return (
        <div className="line-row wrap">
            <span>on</span>
            <Select
                aria-label={`Days of ${name}`}
                mode="multiple"
                size="small"
                style={{ minWidth: 180 }}
                value={window.days}
                disabled={disabled}
                labelRender={({ label }) => String(label).slice(0, 3)}
                options={DAYS.map((day) => ({ value: day, label: DAY_NAMES[day] }))}
                onChange={(days: Day[]) =>
                    days.length > 0 && onChange({ days: DAYS.filter((day) => days.includes(day)) })
                }
            />
            <TimeInput
                label={`From, ${name}`}
                value={window.from}
                disabled={disabled}
                onSave={(from) => onChange({ from })}
            />
            –
            <TimeInput label={`To, ${name}`} value={window.to} disabled={disabled} onSave={(to) => onChange({ to })} />
            <span className="quiet">at {site}</span>
            {!disabled && <RemoveButton label={`Remove ${name}`} onClick={onRemove} />}
        </div>
    );
}

/** Saturday and Sunday to begin with; further ones on days that are still free. */
export function nextWindow(windows: Window[]): Window {
    const free = DAYS.filter((day) => !windows.some((window) => window.days.includes(day)));
    const weekend = free.filter((day) => day === 'sa' || day === 'su');
    const days = weekend.length > 0 ? weekend : free.length > 0 ? free : DAYS.slice(0, 1);
    return { days, from: '09:00', to: '17:00' };
}

import { Input } from 'antd';
import { useState } from 'react';

/** Calls are tried between these. */
const [FIRST, LAST] = ['1900-01-01', '2500-12-31'];

/** The day of the trial call; a year of which only the first digits are typed is not looked at yet. */
export function DayInput({ value, onSave }: { value: string; onSave: (day: string) => void }) {
    const [typed, setTyped] = useState<string>();
    return (
        <Input
            aria-label="Date"
            className="date"
            type="date"
            min={FIRST}
            max={LAST}
            value={typed ?? value}
            onChange={({ target }) => {
                const isWhole = target.value >= FIRST && target.value <= LAST;
                setTyped(isWhole ? undefined : target.value);
                if (isWhole) onSave(target.value);
            }}
            onBlur={() => setTyped(undefined)}
        />
    );
}

import { Input } from 'antd';
import { useMemo, useState } from 'react';
import type { CallerEntry, CallerList } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { LineInput } from '../ui/LineInput';
import { RemoveButton } from '../ui/RowButtons';
import { isFound } from '../ui/searched';
import { CallerFiles } from './CallerFiles';
import { countOf, entriesOf, lineOf, withLine } from './lines';
import { OtherLists } from './OtherLists';
import { PasteCallers } from './PasteCallers';

/** Of a long list only so many are drawn; the others are found by searching. */
const MOST_SHOWN = 200;

export function CallersScreen() {
    return (
        <ElementScreen
            kind="callers"
            empty="There is no list of callers yet. Name one below, then say who is in it: account customers, suppliers, a country."
            note={(list) => (countOf(list) === 1 ? '1 entry' : `${countOf(list)} entries`)}
            editor={(props) => <CallersEditor {...props} />}
        />
    );
}

function CallersEditor({ value, change, error, disabled }: EditorProps<CallerList>) {
    const [search, setSearch] = useState('');
    const matched = useMatched(value.id);
    const entries = useMemo(() => entriesOf(value.entries), [value.entries]);
    const found =
        search.trim() === ''
            ? entries
            : entries.filter((one) => isFound(`${one.match} ${one.name} ${one.label}`, search));
    const set = (entry: CallerEntry, next: CallerEntry | null) =>
        change({ ...value, entries: withLine(value.entries, entry.match, next) });
    return (
        <>
            <FindingsAt pointer="/entries" />
            {entries.length > 10 && (
                <Input
                    className="search"
                    aria-label="Search this list"
                    placeholder={`Search ${entries.length}`}
                    allowClear
                    value={search}
                    onChange={(event) => setSearch(event.target.value)}
                />
            )}
            <div className="wide-table">
                <table className="callers">
                    <thead>
                        <tr>
                            <th scope="col">Number, beginning, country or kind</th>
                            <th scope="col">Name</th>
                            <th scope="col">Shown to whoever answers</th>
                            <th scope="col">
                                <span className="hidden">Remove</span>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {found.slice(0, MOST_SHOWN).map((entry) => (
                            <EntryRow
                                key={entry.match}
                                entry={entry}
                                isMatched={entry.match === matched}
                                disabled={disabled}
                                error={error(`/entries/${entries.indexOf(entry)}`)}
                                onChange={(next) => set(entry, next)}
                            />
                        ))}
                    </tbody>
                </table>
            </div>
            {found.length > MOST_SHOWN && <p className="quiet">{found.length - MOST_SHOWN} more: search for them.</p>}
            {!disabled && (
                <PasteCallers
                    known={entries}
                    onAdd={(added) =>
                        change({
                            ...value,
                            entries: [...value.entries.split('\n'), ...added.map(lineOf)].filter(Boolean).join('\n'),
                        })
                    }
                />
            )}
            <CallerFiles list={value} disabled={disabled} />
            <OtherLists list={value} />
        </>
    );
}

/** By which entry of the list the caller of the bar is recognised. */
function useMatched(list: string): string | undefined {
    const events = useAnswer().data?.events ?? [];
    const event = events.find((one) => (one.what as { list?: string }).list === list);
    return (event?.because as { match?: string } | undefined)?.match;
}

function EntryRow({
    entry,
    isMatched,
    disabled,
    error,
    onChange,
}: {
    entry: CallerEntry;
    isMatched: boolean;
    disabled: boolean;
    error: string | undefined;
    onChange: (next: CallerEntry | null) => void;
}) {
    const text = (field: 'name' | 'label', label: string, maxLength: number) => (
        <LineInput
            label={`${label} of ${entry.match}`}
            maxLength={maxLength}
            disabled={disabled}
            value={entry[field]}
            onSave={(text) => onChange({ ...entry, [field]: text })}
        />
    );
    return (
        <tr className={isMatched ? 'matched' : ''}>
            <td className="figures">
                {entry.match}
                {isMatched && <span className="quiet"> · this call</span>}
                {error && (
                    <p className="alarm" role="alert">
                        {error}
                    </p>
                )}
            </td>
            <td>{text('name', 'Name', 200)}</td>
            <td>{text('label', 'Label', 80)}</td>
            <td>{!disabled && <RemoveButton label={`Remove ${entry.match}`} onClick={() => onChange(null)} />}</td>
        </tr>
    );
}

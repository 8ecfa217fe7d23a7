import { useVirtualizer } from '@tanstack/react-virtual';
import { Checkbox } from 'antd';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import styles from './longTable.module.css';

/** Tables up to so many rows are drawn whole: the browser's own search finds them all. */
const DRAWN_WHOLE = 80;
const DRAWN_BEYOND = 6;
const USUAL_HEIGHT = 64;

export interface Column<T> {
    title: string;
    width?: number;
    cell: (row: T) => ReactNode;
    /** By what its rows are sorted; without it they are not. */
    by?: (row: T) => string | number;
}

interface Props<T> {
    label: string;
    columns: Column<T>[];
    rows: T[];
    rowKey: (row: T) => string;
    /** The title of the column that it is sorted by at first. */
    sortedBy: string;
    /** Which rows are chosen; without it none can be. */
    choosing?: { chosen: string[]; onChoose: (chosen: string[]) => void; name: (row: T) => string } | undefined;
    empty: string;
}

const order = new Intl.Collator('en', { numeric: true });

const compared = (a: string | number, b: string | number) =>
    typeof a === 'number' && typeof b === 'number' ? a - b : order.compare(String(a), String(b));

/** A table of which only the rows that are seen are drawn, however many there are; sorted by any of its columns. */
export function LongTable<T>({ label, columns, rows, rowKey, sortedBy, choosing, empty }: Props<T>) {
    const [sort, setSort] = useState({ title: sortedBy, down: false });
    const box = useRef<HTMLDivElement>(null);
    const sorted = useMemo(() => {
        const by = columns.find((one) => one.title === sort.title)?.by;
        if (!by) return rows;
        const sign = sort.down ? -1 : 1;
        return rows
            .map((row) => ({ row, at: by(row) }))
            .sort((a, b) => sign * compared(a.at, b.at))
            .map(({ row }) => row);
    }, [rows, columns, sort]);
    const drawn = useVirtualizer({
        count: sorted.length,
        getScrollElement: () => box.current,
        getItemKey: (i) => (sorted[i] ? rowKey(sorted[i]) : i),
        estimateSize: () => USUAL_HEIGHT,
        overscan: sorted.length <= DRAWN_WHOLE ? DRAWN_WHOLE : DRAWN_BEYOND,
    });
    const items = drawn.getVirtualItems();
    const above = items[0]?.start ?? 0;
    const below = drawn.getTotalSize() - (items.at(-1)?.end ?? 0);
    const chosen = useMemo(() => new Set(choosing?.chosen), [choosing?.chosen]);
    const width = columns.length + (choosing ? 1 : 0);
    const all = sorted.length > 0 && sorted.every((row) => chosen.has(rowKey(row)));
    const chooseAll = (on: boolean) => {
        const keys = sorted.map(rowKey);
        const others = (choosing?.chosen ?? []).filter((key) => !keys.includes(key));
        choosing?.onChoose(on ? [...others, ...keys] : others);
    };
    return (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is scrolled by keyboard too
        <div ref={box} className={styles.box} tabIndex={0} role="region" aria-label={label}>
            <table className={styles.table} aria-rowcount={rows.length + 1}>
                <thead>
                    <tr>
                        {choosing && (
                            <th className={styles.choice}>
                                <Checkbox
                                    aria-label="Choose all that are found"
                                    checked={all}
                                    indeterminate={!all && chosen.size > 0}
                                    onChange={(event) => chooseAll(event.target.checked)}
                                />
                            </th>
                        )}
                        {columns.map(({ title, width, by }) => (
                            <th
                                key={title}
                                style={{ width }}
                                aria-sort={
                                    by && sort.title === title ? (sort.down ? 'descending' : 'ascending') : undefined
                                }
                            >
                                {by ? (
                                    <button
                                        type="button"
                                        onClick={() => setSort({ title, down: sort.title === title && !sort.down })}
                                    >
                                        {title}
                                        <span aria-hidden="true">
                                            {sort.title === title ? (sort.down ? ' ↓' : ' ↑') : ''}
                                        </span>
                                    </button>
                                ) : (
                                    title
                                )}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {above > 0 && <Gap height={above} width={width} />}
                    {items.map(({ index, key }) => {
                        const row = sorted[index];
                        return (
                            row !== undefined && (
                                <tr
                                    key={key}
                                    ref={drawn.measureElement}
                                    data-index={index}
                                    data-row-key={key}
                                    aria-rowindex={index + 2}
                                >
                                    {choosing && (
                                        <td className={styles.choice}>
                                            <Checkbox
                                                aria-label={`Choose ${choosing.name(row)}`}
                                                checked={chosen.has(rowKey(row))}
                                                onChange={(event) =>
                                                    choosing.onChoose(
                                                        event.target.checked
                                                            ? [...choosing.chosen, rowKey(row)]
                                                            : choosing.chosen.filter((one) => one !== rowKey(row)),
                                                    )
                                                }
                                            />
                                        </td>
                                    )}
                                    {columns.map(({ title, cell }) => (
                                        <td key={title}>{cell(row)}</td>
                                    ))}
                                </tr>
                            )
                        );
                    })}
                    {below > 0 && <Gap height={below} width={width} />}
                </tbody>
            </table>
            {sorted.length === 0 && <p className="quiet">{empty}</p>}
        </div>
    );
}

/** Rows that are not drawn. */
function Gap({ height, width }: { height: number; width: number }) {
    return (
        <tr>
            <td className={styles.gap} colSpan={width} style={{ height }} />
        </tr>
    );
}

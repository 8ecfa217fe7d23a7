import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, type ReactNode, useEffect, useRef } from 'react';
import styles from './longList.module.css';

/** Lists up to so many entries are drawn whole: the browser's own search finds them all. */
const DRAWN_WHOLE = 80;
const DRAWN_BEYOND = 10;
const USUAL_HEIGHT = 48;
/** Two entries stay in sight, where there are as many, in however low a window. */
const LEAST_HEIGHT = 2 * USUAL_HEIGHT;

interface Props<T> {
    items: T[];
    entry: (item: T) => ReactNode;
    /** The one that is brought into sight when it is chosen elsewhere. */
    current: string | undefined;
}

/** A list of which only what is seen is drawn, however long it is. */
export function LongList<T extends { id: string }>({ items, entry, current }: Props<T>) {
    const list = useRef<HTMLUListElement>(null);
    const rows = useVirtualizer({
        count: items.length,
        getScrollElement: () => list.current,
        getItemKey: (i) => items[i]?.id ?? i,
        estimateSize: () => USUAL_HEIGHT,
        overscan: items.length <= DRAWN_WHOLE ? DRAWN_WHOLE : DRAWN_BEYOND,
    });
    // biome-ignore lint/correctness/useExhaustiveDependencies: not when the list is searched or grows
    useEffect(() => {
        const at = items.findIndex((item) => item.id === current);
        if (at > 0) rows.scrollToIndex(at, { align: 'auto' });
    }, [current]);
    return (
        <ul ref={list} style={{ minHeight: Math.min(LEAST_HEIGHT, rows.getTotalSize()) }}>
            <li role="presentation" className={styles.length} style={{ height: rows.getTotalSize() }} />
            {rows.getVirtualItems().map(({ index, key, start }) => {
                const item = items[index];
                return (
                    item && (
                        <li
                            key={key}
                            ref={rows.measureElement}
                            data-index={index}
                            aria-setsize={items.length}
                            aria-posinset={index + 1}
                            className={styles.row}
                            style={{ transform: `translateY(${start}px)` }}
                        >
                            <Entry item={item} entry={entry} />
                        </li>
                    )
                );
            })}
        </ul>
    );
}

const Entry = memo(Drawn) as typeof Drawn;

function Drawn<T>({ item, entry }: Pick<Props<T>, 'entry'> & { item: T }) {
    return entry(item);
}

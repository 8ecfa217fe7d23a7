/** What can be done to one row of a list; without a way to go there is nothing to do. */
export interface RowActs<T> {
    change: (row: T) => void;
    up: (() => void) | undefined;
    down: (() => void) | undefined;
    remove: () => void;
}

export function rowActs<T>(rows: T[], i: number, save: (rows: T[]) => void): RowActs<T> {
    const moveTo = (j: number) => {
        const row = rows[i] as T;
        return rows[j] === undefined ? undefined : () => save(rows.toSpliced(i, 1).toSpliced(j, 0, row));
    };
    return {
        change: (row) => save(rows.with(i, row)),
        up: moveTo(i - 1),
        down: moveTo(i + 1),
        remove: () => save(rows.toSpliced(i, 1)),
    };
}

/** The same record without one of its keys. */
export function without<T>(record: Record<string, T>, key: string): Record<string, T> {
    return Object.fromEntries(Object.entries(record).filter(([one]) => one !== key));
}

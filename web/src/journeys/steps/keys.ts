export const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'] as const;

/** Keys that callers press while something goes on, as ways out. */
export const KEY_EXITS = KEYS.map((key) => ({ on: key, label: `key ${key} meanwhile` }));

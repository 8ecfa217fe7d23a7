/** The name itself if it is free, or else with the lowest number from 2 that makes it so. */
export function unique(name: string, taken: string[], before = ''): string {
    let candidate = name;
    for (let n = 2; taken.includes(candidate); n++) candidate = `${name}${before}${n}`;
    return candidate;
}

/** "18", "18 s" or "3 rings", as whole seconds; null for anything else. */
export function readRingTime(text: string, ringMilliseconds: number): number | null {
    const match = /^\s*(\d+(?:[.,]\d+)?)\s*(s|sec|seconds?|r|rings?)?\s*$/i.exec(text);
    if (!match) return null;
    const amount = Number(match[1]?.replace(',', '.'));
    return Math.round(match[2]?.toLowerCase().startsWith('r') ? (amount * ringMilliseconds) / 1000 : amount);
}

/** The rings in so many seconds, to a half: "3 rings", "2½ rings". */
export function ringsIn(seconds: number, ringMilliseconds: number): string {
    const halves = Math.round((seconds * 2000) / ringMilliseconds);
    const whole = Math.floor(halves / 2);
    return `${whole > 0 || halves % 2 === 0 ? whole : ''}${halves % 2 === 1 ? '½' : ''} ${halves === 2 ? 'ring' : 'rings'}`;
}

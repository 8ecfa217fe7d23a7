/** What a caller hears while it rings: frequencies in Hz, and seconds on and off in turn. */
export interface RingTone {
    hertz: number[];
    cadence: number[];
}

/** ITU-T E.180 leaves the cadence to each country; these are from memory. */
const TONES: Record<string, RingTone> = {
    GB: { hertz: [400, 450], cadence: [0.4, 0.2, 0.4, 2] },
    IE: { hertz: [400, 450], cadence: [0.4, 0.2, 0.4, 2] },
    FR: { hertz: [440], cadence: [1.5, 3.5] },
    DE: { hertz: [425], cadence: [1, 4] },
    ES: { hertz: [425], cadence: [1.5, 3] },
    US: { hertz: [440, 480], cadence: [2, 4] },
};

/** 425 Hz, one second on and four off, is what E.180 recommends (from memory). */
const USUAL: RingTone = { hertz: [425], cadence: [1, 4] };

export const ringTone = (country: string | undefined): RingTone => TONES[country ?? ''] ?? USUAL;

/** When the tone is on within so many seconds: from and to. */
export function bursts({ cadence }: RingTone, seconds: number): { from: number; to: number }[] {
    const found = [];
    let at = 0;
    for (let i = 0; at < seconds; i += 1) {
        const lasts = cadence[i % cadence.length] ?? 1;
        if (i % 2 === 0) found.push({ from: at, to: Math.min(seconds, at + lasts) });
        at += lasts;
    }
    return found;
}

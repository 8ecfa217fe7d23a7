/** How much may be assumed of a trial call, in seconds: as docs/openapi.yaml has it. */
export const ASSUMED = {
    ringing: { min: 0, max: 3600 },
    ofTheCall: { min: 0, max: 14_400 },
} as const;

/** Turns per metre of a twisted pair, restored after a splice. Source: numbers, layout. */
export const TURNS_PER_M = { least: 33, most: 50 } as const;

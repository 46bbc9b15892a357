import { TRADE_PAIRS_MM2, type WireSize } from '@mendum/core/wire';

/** Sizes that harnesses are mostly made of; others are changed later, in Machines. */
export const ROWS: Record<WireSize['basis'], readonly WireSize[]> = {
  metric: [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16].map((area) => ({ basis: 'metric', areaMm2: area })),
  trade: [...TRADE_PAIRS_MM2.keys()].map((awg) => ({ basis: 'trade', awg })),
  awg: [22, 20, 18, 16, 14, 12, 10, 8, 6, 4].map((awg) => ({ basis: 'awg', awg })),
};

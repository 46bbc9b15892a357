export { COMPARED, COMPARED_NAMES, factOf, type CameBack, type Compared, type RepairFact } from './facts.ts';
export { ratesOf, type Counted, type RateLine, type Rates, type Repair } from './rates.ts';
export { COUNTED_LEAST, shareOf, type Share } from './share.ts';

import { closedBarrel } from './closedBarrel/index.ts';
import { closedEnd } from './closedEnd/index.ts';
import { heavyBarrel } from './heavyBarrel/index.ts';
import { openClip } from './openClip/index.ts';
import { solderAndSeal } from './solderSleeve/index.ts';
import { soldered } from './soldered/index.ts';
import { tap } from './tap/index.ts';

/** Every family of joints there is: a new one is a folder of its own, named here. */
export const FAMILIES = [closedBarrel, heavyBarrel, openClip, soldered, solderAndSeal, closedEnd, tap] as const;

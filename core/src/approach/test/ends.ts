import { FULL_SHELF } from '../../catalogue/index.ts';
import type { CavityFitting } from '../../harness/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import { DRY_CABIN, facts } from '../../test/samples.ts';
import { rankEnds } from '../ends/rank.ts';
import type { EndSite, RankedEnd } from '../ends/types.ts';

/** The end of a 1.5 mm² wire at a stud in a dry cabin, everything on the shelf, unless said otherwise. */
export const endAt = (fitting: CavityFitting | undefined, more: Partial<EndSite> = {}): EndSite => ({
  wire: facts(1.5),
  fitting,
  isConnector: false,
  sharedBy: 1,
  zone: DRY_CABIN,
  placeC: 25,
  vapourAired: false,
  practice: CRIMP_FIRST,
  catalogue: FULL_SHELF,
  ...more,
});

/** The first of the ranking at an end. */
export function firstAt(site: EndSite): RankedEnd {
  const [first] = rankEnds(site);
  if (!first) throw new Error('no terminal was looked at');
  return first;
}

/** Ids of the rules that speak about the terminal of that id, or about the first. */
export function spokenAt(site: EndSite, id?: string): readonly string[] {
  const one = id === undefined ? firstAt(site) : rankEnds(site).find((ranked) => ranked.id === id);
  if (!one) throw new Error(`${id ?? ''} was not looked at`);
  return one.hits.map(({ ruleId }) => ruleId);
}

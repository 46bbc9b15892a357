import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { CavityFitting } from '../../harness/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
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

/** The full shelf with its terminals changed; nothing is taken where the change gives nothing. */
export const terminals = (change: (part: TerminalPart) => TerminalPart): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (part.kind === 'terminal' ? change(part) : part)),
});

/** The full shelf with every terminal bare, so that it may be soldered. */
export const BARE = terminals((part) => ({ ...part, body: 'bare' }));

/** The full shelf where of terminals only that of one id is there, changed. */
export const only = (id: string, change: Partial<TerminalPart> = {}): Catalogue =>
  terminals((part) => (part.id === id ? { ...part, ...change } : { ...part, quantity: 0 }));

/** The full shelf with one tool changed. */
export const withTool = (id: string, more: object): Catalogue => ({
  ...FULL_SHELF,
  tools: FULL_SHELF.tools.map((tool) => (tool.id === id ? { ...tool, ...more } : tool)),
});

import { rankMethods, type ReadyShelf, type RankedMethod, type Site } from '../method/index.ts';
import type { SizedJoint } from '../family/index.ts';
import { chooseInsertWire } from '../sizing/index.ts';
import { usualWire, type WireSpec } from '../wire/index.ts';
import type { Decision } from './types.ts';

/** A drain as it lies in most shielded wires: the size that its splice is chosen for. */
const DRAIN: WireSpec = usualWire(0.5, { base: 'black' });

/** The drain of a shield, of the copper that is noted. */
const drainOf = (drainMm2: number | undefined): WireSpec =>
  drainMm2 === undefined ? DRAIN : { ...DRAIN, size: { basis: 'metric', areaMm2: drainMm2 } };

/**
 * How a shield is joined beside a splice of its core: the drain by itself, sealed as the place wants it. The first that
 * the rules allow; else the first that only lacks something on the shelf.
 */
function shieldMethod(site: Site, shelf: ReadyShelf, drain = DRAIN): RankedMethod | undefined {
  const ranked = rankMethods(
    {
      ...site,
      lead: undefined,
      keepOutsBeyond: undefined,
      circuitKind: 'ground',
      duty: 'join',
      inShield: undefined,
      wire: drain,
      farWire: drain,
      insertWire: drain,
      insertStepsUp: 0,
      branchWires: [],
      mainUncut: undefined,
      freedEndMm: undefined,
      keepOuts: [],
    },
    shelf,
  );
  return (
    ranked.find((one) => one.status === 'allowed') ??
    ranked.find((one) => one.status === 'shelf' && one.joints.length > 0)
  );
}

/** Wire beyond the loss that a drain is first assumed to need on top, mm; the layout gives the true length. */
const DRAIN_GUESS_MM = 150;

/**
 * A decision of a shielded circuit with how its shield is joined, where anything is spliced; and the wire that its
 * drain goes on in beside an insert, of whatever colour is on hand.
 */
export function withShield(
  decision: Decision,
  shield: { readonly drainMm2?: number | undefined } | undefined,
  shelf: ReadyShelf,
): Decision {
  const { site } = decision;
  if (!shield || !decision.method || !site) return decision;
  const of = drainOf(shield.drainMm2);
  const method = shieldMethod(site, shelf, of);
  if (!method) return decision;
  const drain = chooseInsertWire(
    of,
    shelf.catalogue.wires,
    site.placeC,
    site.lost.toMm - site.lost.fromMm + DRAIN_GUESS_MM,
    { otherColours: true },
  );
  return { ...decision, shield: { method, drain } };
}

/** The body of a core's splice with the shield's beside it: as thick as both, as long as the longer one. */
export const withShieldBeside = (joint: SizedJoint, shield: SizedJoint | undefined): SizedJoint =>
  shield
    ? {
        ...joint,
        bodyDiameterMm: joint.bodyDiameterMm + shield.bodyDiameterMm,
        bodyLengthMm: Math.max(joint.bodyLengthMm, shield.bodyLengthMm),
      }
    : joint;

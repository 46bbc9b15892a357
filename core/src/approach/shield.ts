import { rankMethods, type ReadyShelf, type RankedMethod, type Site } from '../method/index.ts';
import type { SizedJoint } from '../family/index.ts';
import { chooseInsertWire } from '../sizing/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { Decision } from './types.ts';

/** A drain as it lies in most shielded wires: the size that its splice is chosen for. */
export const DRAIN: WireSpec = {
  size: { basis: 'metric', areaMm2: 0.5 },
  conductor: { kind: 'stranded' },
  jacket: { material: 'xlpe', wall: 'thin' },
  colour: { base: 'black' },
};

/** How a shield is joined beside a splice of its core: the drain by itself, sealed as the place wants it. The first that the rules allow; else the first that only lacks something on the shelf. */
export function shieldMethod(site: Site, shelf: ReadyShelf): RankedMethod | undefined {
  const ranked = rankMethods(
    {
      ...site,
      lead: undefined,
      keepOutsBeyond: undefined,
      circuitKind: 'ground',
      duty: 'join',
      wire: DRAIN,
      farWire: DRAIN,
      insertWire: DRAIN,
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

/** A decision of a shielded circuit with how its shield is joined, where anything is spliced; and the wire that its drain goes on in beside an insert, of whatever colour is on hand. */
export function withShield(decision: Decision, isShielded: boolean, shelf: ReadyShelf): Decision {
  const { site } = decision;
  const method = isShielded && decision.method && site ? shieldMethod(site, shelf) : undefined;
  if (!method || !site) return decision;
  const drain = chooseInsertWire(
    DRAIN,
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

import { believedLoadA } from '../approach/index.ts';
import { stepsFor, stepsForCover } from '../bench/index.ts';
import type { Decision } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import { branchesOf } from '../damage/index.ts';
import { isStill, type HarnessNode, type Run } from '../harness/index.ts';
import { cutOf, type PlacedItem, type PlacedSplice } from '../layout/index.ts';
import { crimpedBy, parkDistanceMm, redoTakesMm, type RankedMethod } from '../method/index.ts';
import { familyOf, glyphOf, methodById } from '../family/index.ts';
import { measuresEvery, type Practice } from '../practice/index.ts';
import { checksFor, checksForCover, provingOf, pullMinimumN, tugTargetN, type MeasuredPath } from '../prove/index.ts';
import { reachCostMm } from '../sizing/index.ts';
import { areaMm2, betweenProbes, colourInWords, resistanceLimits, sizeInWords, type WireSpec } from '../wire/index.ts';
import { coveredBy } from './together/extent.ts';
import type { CoverPlan, SplicePlan } from './made.ts';
import type { Decided } from './types.ts';

/** The surroundings that a splice's words and figures need. */
export interface Surroundings {
  readonly run: Run;
  readonly nodes: ReadonlyMap<string, HarnessNode>;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
}

const nodeName = (id: string, { nodes }: Surroundings): string => nodes.get(id)?.name ?? id;

/** Iron for a copper area, W: up to 0.5 mm² 40, up to 2.5 70, above 140. */
const ironW = (area: number): number => (area <= 0.5 ? 40 : area <= 2.5 ? 70 : 140);

/** The wires of one splice: its thinner one sets pull and resistance. */
function wiresOf(decided: Decided, side: PlacedSplice['side']): WireSpec[] {
  const { circuit, finding, decision } = decided;
  const far = finding.farWire ?? circuit.wire;
  const branches = branchesOf(finding);
  const insert = decision.insertWire?.wire ?? circuit.wire;
  if (side === 'only') return [circuit.wire, far, ...branches];
  return side === 'left' ? [circuit.wire, insert] : [insert, far, ...branches];
}

function parkSide(
  splice: PlacedSplice,
  item: PlacedItem,
  parkAtMm: number,
  decision: Decision,
): SplicePlan['parkSide'] {
  const { seal } = splice.joint;
  const need = (seal.kind === 'sleeve' ? seal.cutMm : 0) + parkAtMm;
  const [left, right] = [decision.site?.freeLeftMm ?? 0, decision.site?.freeRightMm ?? 0];
  if (item.insertMm !== undefined && item.insertMm >= need) return 'insert';
  if (splice.side !== 'right' && left >= need && left >= (splice.side === 'left' ? 0 : right)) return 'left';
  if (splice.side !== 'left' && right >= need) return 'right';
  return left >= need && splice.side === 'only' ? 'left' : 'clamp';
}

/** One placed splice made into a plan: pull, limits, redo costs, steps and checks. */
export function splicePlan(
  decided: Decided,
  method: RankedMethod,
  item: PlacedItem,
  splice: PlacedSplice,
  around: Surroundings,
  path: MeasuredPath | undefined,
): SplicePlan {
  const { circuit, decision } = decided;
  const { joint } = splice;
  const wires = wiresOf(decided, splice.side);
  const thinnest = wires.reduce((least, wire) => (areaMm2(wire.size) < areaMm2(least.size) ? wire : least));
  const thickestMm2 = Math.max(...wires.map((wire) => areaMm2(wire.size)));
  const make = decision.redoCount + 1;
  const spare = decision.slackMm - (item.x2Mm - item.x1Mm) - reachCostMm(joint.reach);
  const solder = around.catalogue.parts.find((part) => part.id === joint.partId);
  const family = familyOf(method.methodId);
  const parkAtMm = parkDistanceMm(family, around.practice);
  const parked = parkSide(splice, item, parkAtMm, decision);
  const insert = decision.insertWire;
  const between = decision.lead ? 'the new lead' : 'the insert';
  const reachesPast = splice.leavesAtMm !== undefined;
  const cutMm = cutOf(splice, item);
  // Where its insert leaves the run, the other end of the run is the outer one.
  const outerOf = ({ leavesAtMm }: PlacedSplice, side: 'left' | 'right'): string =>
    (leavesAtMm === undefined ? side === 'left' : leavesAtMm > 0) ? around.run.fromNodeId : around.run.toNodeId;
  const shieldJoint =
    decision.shield?.method.joints[splice.side === 'right' ? 1 : 0] ?? decision.shield?.method.joints[0];
  const shield = decision.shield && shieldJoint && { methodName: decision.shield.method.name, joint: shieldJoint };
  const closedBy = decision.site && crimpedBy(method, decision.site, splice.side === 'right' ? 1 : 0, around.catalogue);
  const tugN = tugTargetN(areaMm2(thinnest.size));
  return {
    id: splice.id,
    findingId: splice.findingId,
    circuitId: circuit.id,
    runId: around.run.id,
    side: splice.side,
    make,
    methodId: method.methodId,
    methodName: method.name,
    glyph: glyphOf(method.methodId),
    joint,
    ...(closedBy ? { closedBy } : {}),
    ...(shield ? { shield } : {}),
    centreMm: splice.centreMm,
    fromMm: splice.fromMm,
    toMm: splice.toMm,
    pinned: splice.pinned,
    parkSide: parked,
    cutMm,
    ...(splice.leavesAtMm === undefined ? {} : { leavesAtMm: splice.leavesAtMm }),
    tugN,
    pullMinimumN: pullMinimumN(areaMm2(thinnest.size)),
    redosLeft: splice.side === 'only' ? Math.max(0, Math.floor((spare + 1e-9) / redoTakesMm(joint))) : undefined,
    steps: stepsFor({
      spliceId: splice.id,
      side: splice.side,
      make,
      whole: methodById(joint.methodId).leavesWhole === true,
      joint,
      isLead: decision.lead !== undefined,
      shield,
      leftName: splice.side === 'right' ? between : `the ${nodeName(outerOf(splice, 'left'), around)}`,
      rightName: splice.side === 'left' ? between : `the ${nodeName(outerOf(splice, 'right'), around)}`,
      fromName: nodeName(around.run.fromNodeId, around),
      cutLeftMm: reachesPast ? cutMm : item.x1Mm,
      cutRightMm: reachesPast ? cutMm : item.x2Mm,
      insertMm: item.insertMm,
      insertWords:
        insert &&
        `${sizeInWords(insert.wire.size)}, ${colourInWords(insert.wire.colour)}${insert.colourDiffers ? `: another colour, tag both ends ${circuit.number}` : ''}.`,
      parkSide: parked,
      parkAtMm,
      untwistedAtMostMm: around.practice.figures.untwistedAtMostMm,
      tugN,
      solid: wires.some((wire) => wire.conductor.kind === 'solid'),
      notch: sizeInWords(thinnest.size),
      crimpedBy: closedBy,
      ironW: ironW(thickestMm2),
      twistBack: circuit.pairWith !== undefined,
      habits: around.practice.habits,
      stillAndDry: isStill(around.run.zone) && around.run.zone.moisture === 'dry',
    }),
    checks: checksFor({
      proof: familyOf(joint.methodId).proof,
      seal: joint.seal.kind,
      glueless: joint.seal.kind === 'sleeve' && !joint.seal.adhesive,
      tinLead: solder?.kind === 'solder' && solder.alloy === 'tinLead',
      shielded: shield !== undefined,
      byHand: method.crimpTool?.ratchet === false,
      pullMinimumN: pullMinimumN(areaMm2(thinnest.size)),
      between: betweenProbes(wires, joint.jointLengthMm),
      path,
      copperMm2: areaMm2(thinnest.size),
      limits: resistanceLimits(thinnest, joint.jointLengthMm, believedLoadA(decision.electrical, circuit)),
      proving: provingOf(circuit, measuresEvery(around.practice.habits)),
      loadA: believedLoadA(decision.electrical, circuit),
      crimpedMm2: joint.crimpAtMm === undefined ? undefined : areaMm2(thinnest.size),
    }),
  };
}

/** A cover made into a plan. */
export function coverPlan(decided: Decided, around: Surroundings): CoverPlan | undefined {
  const { decision, finding } = decided;
  const { cover } = decision;
  if (!cover) return undefined;
  const id = `${finding.id}:cover`;
  const make = decision.redoCount + 1;
  const atMm = (finding.fromMm + finding.toMm) / 2;
  return {
    id,
    findingId: finding.id,
    coverId: cover.coverId,
    name: cover.name,
    partName: cover.partName,
    lengthMm: cover.lengthMm,
    atMm,
    covers: coveredBy(finding, around.practice),
    diameterMm: cover.diameterMm,
    make,
    steps: stepsForCover(
      id,
      make,
      cover,
      atMm,
      nodeName(around.run.fromNodeId, around),
      around.practice.figures.overlapMm,
    ),
    checks: checksForCover(cover.coverId === 'sleeveCover' ? 'sleeve' : 'wrap'),
  };
}

import { addsCircuit, branchesOf, type Stretch } from '../damage/index.ts';
import { flexStretches, isShielded, keepOuts, keepOutsBeyond } from '../harness/index.ts';
import type { Site } from '../method/index.ts';
import type { InsertWireChoice } from '../sizing/index.ts';
import { stepsUp } from '../wire/index.ts';
import { freeWireBeside } from './freeWire.ts';
import type { DecideInput, Electrical } from './types.ts';

/** The place and the wires of a splice that mends a loss: what every method there is judged by. */
export function siteAt(
  input: DecideInput,
  lost: Stretch,
  electrical: Electrical,
  insertWire: InsertWireChoice,
  twoRequired: boolean,
): Site {
  const { finding, share, circuit, run, nodes, practice, gate, runFacts, beyond } = input;
  return {
    circuitKind: circuit.kind,
    inShield: isShielded(circuit),
    duty: [finding, ...share.takes].some(addsCircuit) ? 'add' : 'join',
    wire: circuit.wire,
    farWire: finding.farWire ?? circuit.wire,
    branchWires: [finding, ...share.takes].flatMap(branchesOf),
    insertWire: insertWire.wire,
    insertStepsUp: stepsUp(insertWire.wire.size, circuit.wire.size),
    mainUncut: 'mainUncut' in finding ? finding.mainUncut : undefined,
    freedEndMm: finding.freedEndMm,
    zone: run.zone,
    flexing: flexStretches(run)[0]?.name,
    placeC: electrical.placeC,
    conduitMarginMm: run.conduitInsideMm === undefined ? undefined : run.conduitInsideMm - runFacts.bundleMm,
    lost,
    within: share.within,
    slackMm: share.slackMm,
    slackKnown: share.slackKnown,
    keepOuts: keepOuts(run, nodes, practice.figures.clearMm),
    ...freeWireBeside(run, lost),
    keepOutsBeyond: beyond && (() => keepOutsBeyond(run, beyond, nodes, practice.figures.clearMm)),
    vapourAired: gate.vapour !== undefined,
    temporaryUntil: finding.temporaryUntil,
    asOf: input.asOf,
    twoRequired,
  };
}

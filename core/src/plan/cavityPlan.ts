import { believedLoadA, withJacketBack } from '../approach/index.ts';
import { stepsAtCavity } from '../bench/index.ts';
import { isInHousing } from '../harness/index.ts';
import type { PlacedItem } from '../layout/index.ts';
import { checksAtCavity, provingOf, pullMinimumN, type MeasuredPath, type ProvableAtCavity } from '../prove/index.ts';
import { measuresEvery } from '../practice/index.ts';
import { formOf, FORMS } from '../terminal/index.ts';
import type { CavityAct, CavityWork } from '../approach/index.ts';
import { areaMm2, betweenProbes, contactLimits, LEAST_JOINT_MM, resistanceLimits } from '../wire/index.ts';
import type { Surroundings } from './splicePlan.ts';
import type { CavityPlan } from './made.ts';
import type { Decided, PieceOfWork } from './types.ts';

/** What is proved of a terminal: while it is not named, as one in a housing. */
function provableTerminal({ terminal, wire }: CavityWork, loadA: number | undefined): ProvableAtCavity['terminal'] {
  const form = terminal ? formOf(terminal.family) : FORMS.housing;
  const good = terminal && form.contactMilliohm(terminal.family);
  const seal = terminal?.seal?.kind ?? 'none';
  return {
    attach: terminal?.attach ?? 'crimp',
    looks: form.looks({
      part: { name: terminal?.partName ?? 'terminal', support: terminal?.hasMetalSupport ? 'metal' : undefined },
      gripsJacket: terminal?.gripsJacket ?? true,
      hasWireSeal: seal === 'wireSeal',
    }),
    isTugged: form.isTugged,
    byHand: terminal?.crimpedBy?.hasRatchet === false,
    seal: seal === 'ownTube' ? 'builtIn' : seal,
    limits: resistanceLimits(wire, LEAST_JOINT_MM, loadA),
    between: betweenProbes([wire], LEAST_JOINT_MM),
    contact: good === undefined ? undefined : contactLimits(good, loadA),
  };
}

/** Acts that end with a terminal or piece seated in its housing. */
const SEATS: readonly CavityAct[] = [
  'crimpTerminal',
  'refit',
  'correct',
  'rehouse',
  'seal',
  'lockPiece',
  'solderToPin',
  'move',
];

/**
 * Work at a cavity made into a plan: its steps and its checks.
 * @param found what is done there
 * @param as what it is called among the work of its finding
 */
export function cavityPlan(
  { decision, finding, circuit }: Decided,
  found: CavityWork,
  as: 'cavity' | 'far',
  { run, practice }: Surroundings,
  item: PlacedItem | undefined,
  path: MeasuredPath | undefined,
  piece?: PieceOfWork,
): CavityPlan {
  const work =
    found.cable && piece?.reachMm !== undefined
      ? { ...found, cable: withJacketBack(found.cable, piece.reachMm + practice.figures.overlapMm) }
      : found;
  const loadA = work.added ? work.added.loadA : believedLoadA(decision.electrical, circuit);
  const id = `${finding.id}:${as}`;
  const make = decision.redoCount + 1;
  const { terminal, acts } = work;
  const isLast = piece === undefined || piece.findingIds.at(-1) === finding.id;
  const crimps = acts.includes('crimpTerminal');
  return {
    id,
    findingId: finding.id,
    name: work.name,
    work,
    ...(run.id === finding.runId ? {} : { runId: run.id }),
    atMm:
      work.at.nodeId === run.fromNodeId
        ? 0
        : work.at.nodeId === run.toNodeId
          ? run.lengthMm
          : (item?.x1Mm ?? finding.fromMm),
    make,
    steps: stepsAtCavity(id, make, work, practice.habits, {
      wires: piece?.findingIds.length ?? 1,
      isFirst: piece === undefined || piece.findingIds[0] === finding.id,
      isLast,
    }),
    checks: checksAtCavity({
      terminal: crimps ? provableTerminal(work, loadA) : undefined,
      inHousing: terminal === undefined || isInHousing(terminal.family),
      wireSeal: acts.includes('seal'),
      seats: acts.some((act) => SEATS.includes(act)),
      endsCable: acts.includes('boot') && isLast,
      soldered: acts.includes('solderToPin'),
      pullMinimumN: pullMinimumN(areaMm2(work.wire.size)),
      proving: provingOf({ kind: circuit.kind, loadA }, measuresEvery(practice.habits)),
      loadA,
      copperMm2: areaMm2(work.wire.size),
      ...(work.added ? {} : { path }),
    }),
  };
}

import type { CavityWork, Way } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import type { Run } from '../harness/index.ts';
import type { PlacedItem } from '../layout/index.ts';
import type { Practice } from '../practice/index.ts';
import { reachCostMm } from '../sizing/index.ts';
import { slackTakenMm } from './together/extent.ts';
import { cavityPlan } from './cavityPlan.ts';
import { electricalCheck } from './electricalCheck.ts';
import { failedWarnings } from './failed.ts';
import type { JobIndex } from '../job/index.ts';
import { measuredPath } from './measuredPath.ts';
import { coverPlan, splicePlan } from './splicePlan.ts';
import type { Job } from '../job/index.ts';
import type { CavityPlan } from './made.ts';
import type { Decided, FindingPlan, PieceOfWork } from './types.ts';
import { headline } from './words.ts';

function slackLeft({ decision }: Decided, item: PlacedItem | undefined): number {
  // A new terminal takes its strip of the tail; a lead is new wire, and takes nothing of it.
  if (!item) return Math.max(0, decision.slackMm - slackTakenMm(decision));
  if (decision.lead) return decision.slackMm;
  const [splice, other] = item.splices;
  if (!splice || other) return decision.slackMm;
  return Math.max(0, decision.slackMm - (item.x2Mm - item.x1Mm) - reachCostMm(splice.joint.reach));
}

/** Why a splice lies on another run than what it mends. */
function pastWords(item: PlacedItem | undefined, run: Run, index: JobIndex): string[] {
  return (item?.splices ?? []).flatMap((splice) => {
    const other = splice.runId === undefined ? undefined : index.runs.get(splice.runId);
    const shared =
      other && [run.fromNodeId, run.toNodeId].find((id) => id === other.fromNodeId || id === other.toNodeId);
    return other && shared !== undefined
      ? [
          `Its ${splice.side} splice lies past ${index.nodes.get(shared)?.name ?? shared}, on ${other.name}: there is no room for it on this side.`,
        ]
      : [];
  });
}

/** What was refused by name although another part is taken: of its joints, and of its terminal. */
const passedOver = ({ method, cavity }: Decided['decision']): readonly string[] => [
  ...(method?.passed ?? []),
  ...(cavity?.terminals.find(
    ({ part, attach }) => part?.id === cavity.terminal?.partId && attach === cavity.terminal?.attach,
  )?.passed ?? []),
  ...(cavity?.passed ?? []),
];

/** The run that work at a cavity is at: an end of an added circuit may lie at another than its finding. */
function runOfCavity({ added, at }: CavityWork, run: Run, { harness }: Job): Run {
  const isAt = (one: Run): boolean => [one.fromNodeId, one.toNodeId].includes(at.nodeId);
  return added && !isAt(run) ? (harness.runs.find(isAt) ?? run) : run;
}

/** A decision with its place made into the plan of its finding. */
export function findingPlan(
  decided: Decided,
  item: PlacedItem | undefined,
  job: Job,
  index: JobIndex,
  practice: Practice,
  catalogue: Catalogue,
  piece?: PieceOfWork,
): FindingPlan {
  const { decision } = decided;
  const run = index.runs.get(decision.runId) ?? job.harness.runs[0];
  if (!run) throw new RangeError('The harness has no run.');
  const around = { run, nodes: index.nodes, practice, catalogue };
  const { method } = decision;
  const path = measuredPath(decided, item, job);
  const atCavity = (work: CavityWork, as: 'cavity' | 'far'): CavityPlan =>
    cavityPlan(decided, work, as, { ...around, run: runOfCavity(work, run, job) }, item, path, piece);
  return {
    findingId: decision.findingId,
    circuitId: decision.circuitId,
    runId: decision.runId,
    approach: decision.approach,
    headline: headline(decision, item?.insertMm),
    because: [...decision.because, ...pastWords(item, run, index)],
    asks: decision.asks,
    warnings: [...failedWarnings(decided.finding, job, method?.name), ...decision.warnings],
    passed: passedOver(decision),
    ...(decided.finding.temporaryUntil === undefined ? {} : { temporaryUntil: decided.finding.temporaryUntil }),
    ranked: decision.ranked,
    covers: decision.covers,
    chosen:
      decision.cover?.coverId ??
      method?.methodId ??
      (decision.ways.some((way) => way.way === decision.approach) ? (decision.approach as Way) : undefined),
    chosenBy: decision.chosenBy,
    lost: decision.lost,
    takes: decision.takes,
    cutsOut: decided.share.cutsOut,
    ...(decision.takenBy === undefined ? {} : { takenBy: decision.takenBy }),
    slackMm: decision.slackMm,
    slackLeftMm: slackLeft(decided, item),
    x1Mm: item?.x1Mm ?? decision.lost.fromMm,
    x2Mm: item?.x2Mm ?? decision.lost.toMm,
    insert:
      item?.insertMm !== undefined && decision.insertWire
        ? { lengthMm: item.insertMm, wire: decision.insertWire }
        : undefined,
    ...(decision.added ? { added: decision.added } : {}),
    ...(item?.insertMm !== undefined && decision.shield
      ? { drain: { lengthMm: item.insertMm, wire: decision.shield.drain } }
      : {}),
    ...(decided.needsTwo !== undefined && decision.approach === 'insert' ? { needsTwo: decided.needsTwo } : {}),
    splices:
      method && item
        ? item.splices.map((splice) =>
            splicePlan(
              decided,
              method,
              item,
              splice,
              { ...around, run: index.runs.get(splice.runId ?? run.id) ?? run },
              path,
            ),
          )
        : [],
    cover: coverPlan(decided, around),
    cavity: decision.cavity && atCavity(decision.cavity, 'cavity'),
    ...(decision.far ? { far: atCavity(decision.far, 'far') } : {}),
    ways: decision.ways.map((way) =>
      way.way === decision.approach && item?.insertMm !== undefined && way.way !== 'pigtail'
        ? { ...way, cost: { ...way.cost, wireMm: Math.round(item.insertMm) } }
        : way,
    ),
    isLead: decision.lead !== undefined,
    electrical: decision.electrical,
    check: electricalCheck(decided, item, job),
  };
}

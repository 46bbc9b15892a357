import { aloneOnWire, type Way } from '../approach/index.ts';
import type { Finding } from '../damage/index.ts';
import { decideOne, type Warm } from './decideOne.ts';
import { groupBy, mateOf, type JobIndex } from '../job/index.ts';
import { decideLine } from './together/line.ts';
import { waysOfPieces } from './together/pieces.ts';
import type { Job } from '../job/index.ts';
import type { Decided } from './types.ts';

const lineOf = ({ circuitId, runId }: Pick<Finding, 'circuitId' | 'runId'>): string => `${circuitId} ${runId}`;

/** Decides about all findings of one wire on one run, those together that share it. */
function decideWire(
  findings: readonly Finding[],
  job: Job,
  index: JobIndex,
  memory: Warm,
  ways: ReadonlyMap<string, Way> = new Map(),
): Decided[] {
  const [first] = findings;
  const run = first && index.runs.get(first.runId);
  if (!first || !run) return [];
  const earlier = (job.earlier ?? []).filter((one) => lineOf(one) === lineOf(first));
  if (findings.length === 1 && earlier.length === 0) {
    const share = { ...aloneOnWire(first), way: ways.get(first.id) };
    const decided = decideOne(first, job, index, memory, undefined, share);
    return decided ? [decided] : [];
  }
  return decideLine(
    { run, findings, earlier },
    {
      job,
      practice: memory.practice,
      decide: (finding, share) =>
        decideOne(finding, job, index, memory, undefined, { ...share, way: ways.get(finding.id) }),
    },
  );
}

/**
 * Decides about every finding, those of one wire together; where one wire of a pair needs two splices, the other gets
 * two as well.
 */
export function decideAll(job: Job, index: JobIndex, memory: Warm): Decided[] {
  const lines = groupBy(job.findings, lineOf);
  const all = (ways?: ReadonlyMap<string, Way>): Decided[] =>
    [...lines.values()].flatMap((line) => decideWire(line, job, index, memory, ways));
  const each = all();
  const ways = waysOfPieces(each, job);
  const byId = new Map((ways.size > 0 ? all(ways) : each).map((one) => [one.finding.id, one]));
  return job.findings.flatMap((finding): Decided[] => {
    const one = byId.get(finding.id);
    if (one?.decision.approach !== 'oneSplice') return one ? [one] : [];
    const mate = mateOf(one.finding, index);
    if (!mate || byId.get(mate.id)?.decision.approach !== 'insert') return [one];
    return [decideOne(one.finding, job, index, memory, 'pair', one.share) ?? one];
  });
}

/** Decides about one finding as it stands among the others of its wire. */
export function decideAmong(finding: Finding, job: Job, index: JobIndex, memory: Warm): Decided | undefined {
  const line = (index.onCircuit.get(finding.circuitId) ?? []).filter((one) => lineOf(one) === lineOf(finding));
  return decideWire(line, job, index, memory).find((one) => one.finding.id === finding.id);
}

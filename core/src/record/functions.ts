import { isAtCavity } from '../damage/index.ts';
import type { Circuit } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { Plan } from '../plan/index.ts';
import { EVERY_FUNCTION, functionInWords, type FunctionSeen, type Reading } from '../prove/index.ts';

/** A function that has to be switched and watched, and what was seen of it. */
export interface FunctionLine {
  readonly circuit: Circuit;
  /** The connector that was opened; none where the circuit itself is mended. */
  readonly opened?: string | undefined;
  readonly before?: FunctionSeen | undefined;
  readonly after?: FunctionSeen | undefined;
}

/** A function as it stands on the sheet. */
export interface SheetFunction {
  readonly circuit: string;
  readonly before: string;
  readonly after: string;
  /** It did not work when it was watched after the repair. */
  readonly fails: boolean;
}

/** Connectors that the work opens: at their cavities, replaced whole, or mapped. */
function openedBy(job: Job, plan: Plan): ReadonlySet<string> {
  return new Set([
    ...plan.findings.flatMap(({ cavity }) => (cavity ? [cavity.work.at.nodeId] : [])),
    ...plan.pieces.map(({ nodeId }) => nodeId),
    ...(job.mappings ?? []).map(({ nodeId }) => nodeId),
  ]);
}

const endsAt = ({ from, to }: Circuit, nodeId: string): boolean => from.nodeId === nodeId || to.nodeId === nodeId;

/** When a circuit was last made again, or something at a connector of it: what was watched before says nothing of that. */
function madeAgainAt({ redos, findings }: Job, circuit: Circuit): string {
  const touched = findings.filter(
    (one) => one.circuitId === circuit.id || (isAtCavity(one) && endsAt(circuit, one.at.nodeId)),
  );
  const times = redos.flatMap(({ findingId, at }) => (touched.some(({ id }) => id === findingId) ? [at] : []));
  return times.sort().at(-1) ?? '';
}

/** What the look at a cavity says of its whole connector: each of its functions works, watched in one go. */
function seenAtCavities(job: Job, plan: Plan, readings: readonly Reading[]): FunctionSeen[] {
  return plan.findings.flatMap(({ cavity }) => {
    const look = readings.findLast(({ spliceId, checkId }) => spliceId === cavity?.id && checkId === EVERY_FUNCTION);
    if (!cavity || look?.value.kind !== 'look' || look.value.answer !== 'good') return [];
    const { nodeId } = cavity.work.at;
    return job.harness.circuits
      .filter((circuit) => endsAt(circuit, nodeId))
      .map(({ id }): FunctionSeen => ({
        circuitId: id,
        moment: 'after',
        answer: 'works',
        inOneGo: true,
        by: look.by,
        at: look.at,
      }));
  });
}

/**
 * Every circuit that is mended, then every other one at a connector that was opened, with what was seen of its
 * function before and after: what was said last, of one alone or of its whole connector, and after it was made for the
 * last time. Source: numbers, Acceptance.
 */
export function functionsOf(
  job: Job,
  plan: Plan,
  seen: readonly FunctionSeen[],
  readings: readonly Reading[],
): FunctionLine[] {
  const mended = new Set(plan.findings.map(({ circuitId }) => circuitId));
  const opened = openedBy(job, plan);
  const nameOf = new Map(job.harness.nodes.map(({ id, kind, name }) => [id, kind === 'connector' ? name : undefined]));
  const all = [...seenAtCavities(job, plan, readings), ...seen].sort((a, b) => a.at.localeCompare(b.at));
  const last = (circuitId: string, moment: FunctionSeen['moment'], since = ''): FunctionSeen | undefined =>
    all.findLast((one) => one.circuitId === circuitId && one.moment === moment && one.at >= since);
  const lineOf = (circuit: Circuit, at?: string): FunctionLine => ({
    circuit,
    ...(at === undefined ? {} : { opened: at }),
    before: last(circuit.id, 'before'),
    after: last(circuit.id, 'after', madeAgainAt(job, circuit)),
  });
  const { circuits } = job.harness;
  return [
    ...circuits.filter(({ id }) => mended.has(id)).map((circuit) => lineOf(circuit)),
    ...circuits
      .filter(({ id }) => !mended.has(id))
      .flatMap((circuit) => {
        const at = [circuit.from.nodeId, circuit.to.nodeId].find(
          (id) => opened.has(id) && nameOf.get(id) !== undefined,
        );
        return at === undefined ? [] : [lineOf(circuit, nameOf.get(at))];
      }),
  ];
}

/** Functions of which nobody has said what they do since the repair. */
export const notWatched = (lines: readonly FunctionLine[]): number =>
  lines.filter(({ after }) => after === undefined).length;

const seenWords = (seen: FunctionSeen | undefined): string => (seen ? functionInWords(seen) : 'not watched');

/** Functions as they stand on the sheet. */
export const sheetFunctions = (lines: readonly FunctionLine[]): SheetFunction[] =>
  lines.map(({ circuit, before, after }) => ({
    circuit: `${circuit.number} ${circuit.function}`,
    before: seenWords(before),
    after: seenWords(after),
    fails: after?.answer === 'fails',
  }));

/** What a record says of its circuit's function: "works, 12.4 V (not watched before)". */
export function functionWords(circuitId: string, lines: readonly FunctionLine[]): string {
  const line = lines.find(({ circuit }) => circuit.id === circuitId);
  return `${seenWords(line?.after)} (before: ${seenWords(line?.before)})`;
}

import type { Circuit } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { Plan } from '../plan/index.ts';
import { functionInWords, type FunctionSeen } from '../prove/index.ts';

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

/**
 * Every circuit that is mended, then every other one at a connector that was opened, with what was seen of its
 * function before and after. Source: numbers, Acceptance.
 */
export function functionsOf(job: Job, plan: Plan, seen: readonly FunctionSeen[]): FunctionLine[] {
  const mended = new Set(plan.findings.map(({ circuitId }) => circuitId));
  const opened = openedBy(job, plan);
  const nameOf = new Map(job.harness.nodes.map(({ id, kind, name }) => [id, kind === 'connector' ? name : undefined]));
  const last = (circuitId: string, moment: FunctionSeen['moment']): FunctionSeen | undefined =>
    seen.findLast((one) => one.circuitId === circuitId && one.moment === moment);
  const lineOf = (circuit: Circuit, at?: string): FunctionLine => ({
    circuit,
    ...(at === undefined ? {} : { opened: at }),
    before: last(circuit.id, 'before'),
    after: last(circuit.id, 'after'),
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

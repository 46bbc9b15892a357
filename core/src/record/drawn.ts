import type { Run } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { Plan } from '../plan/index.ts';
import type { DrawnBody, DrawnRun } from './drawnTypes.ts';
import { madeOf } from './made.ts';
import type { SpliceRecord } from './types.ts';

interface Lying {
  readonly runId: string;
  readonly circuitId: string;
  readonly body: DrawnBody;
}

/** What this job has made, as it was signed, or as it is planned. */
function madeHere(job: Job, plan: Plan, records: readonly SpliceRecord[]): Lying[] {
  const { circuits, runs } = job.harness;
  if (records.length > 0)
    return records.flatMap(({ onWire, circuitNumber, run, atMm, fromName, method }): Lying[] => {
      if (onWire) return [{ ...onWire, body: { ...onWire, earlier: false, words: method } }];
      const circuit = circuits.find(({ number }) => number === circuitNumber);
      const on = runs.find(({ name }) => name === run);
      if (!circuit || !on) return [];
      const isFromStart = job.harness.nodes.find(({ id }) => id === on.fromNodeId)?.name === fromName;
      const at = isFromStart ? atMm : on.lengthMm - atMm;
      const body: DrawnBody = { kind: 'cavity', fromMm: at, toMm: at, earlier: false, words: method };
      return [{ runId: on.id, circuitId: circuit.id, body }];
    });
  return plan.findings.flatMap((finding) =>
    madeOf(finding).map(({ body, atMm, runId = finding.runId, method }): Lying => {
      const place: Omit<DrawnBody, 'earlier' | 'words'> = body ?? { kind: 'cavity', fromMm: atMm, toMm: atMm };
      return { runId, circuitId: finding.circuitId, body: { ...place, earlier: false, words: method } };
    }),
  );
}

/**
 * The runs on which a job has made something, with what was there before: what is drawn on its sheet.
 * @param records the job's own, once it is signed
 */
export function drawnRuns(job: Job, plan: Plan, records: readonly SpliceRecord[] = []): DrawnRun[] {
  const made = madeHere(job, plan, records);
  const before = (job.earlier ?? []).map(({ runId, circuitId, kind, fromMm, toMm, words }): Lying => ({
    runId,
    circuitId,
    body: { kind, fromMm, toMm, earlier: true, words },
  }));
  const nodeName = (id: string): string => job.harness.nodes.find((node) => node.id === id)?.name ?? id;
  const rowsOf = (run: Run): DrawnRun['rows'] =>
    job.harness.circuits.flatMap(({ id, number, function: work }) => {
      const bodies = [...before, ...made]
        .filter(({ runId, circuitId }) => runId === run.id && circuitId === id)
        .map(({ body }) => body);
      return bodies.length > 0 ? [{ circuit: `${number} ${work}`, bodies }] : [];
    });
  return job.harness.runs
    .filter(({ id }) => made.some(({ runId }) => runId === id))
    .map((run) => ({
      id: run.id,
      name: run.name,
      lengthMm: run.lengthMm,
      fromName: nodeName(run.fromNodeId),
      toName: nodeName(run.toNodeId),
      rows: rowsOf(run),
    }));
}

import { CAUSES, findingInWords, isAtCavity } from '../damage/index.ts';
import type { Job } from '../job/index.ts';
import { findingOf } from '../layout/index.ts';
import { asLaid, type FindingPlan, type Plan } from '../plan/index.ts';
import { isProved } from '../mapping/index.ts';
import { standingOf, type FunctionSeen, type Reading } from '../prove/index.ts';
import { figure } from '../units/index.ts';
import { inUtc, isolationWords, placeOn, readingsOf, type When } from './build.ts';
import { madeOf } from './made.ts';
import { drawnRuns } from './drawn.ts';
import { touchedFaces } from './faces.ts';
import { functionsOf, sheetFunctions } from './functions.ts';
import { summaryOf } from './summary.ts';
import type { JobSheet, SheetLine, SpliceRecord } from './types.ts';
import { correctionWords } from './words.ts';

const place = (atMm: number, fromName: string): string => `${figure(atMm, 0)} mm from ${fromName}`;

function plannedLines(job: Job, plan: Plan, readings: readonly Reading[]): SheetLine[] {
  return plan.findings.flatMap((finding) => {
    const placeOf = (atMm: number, runId = finding.runId): string => {
      const run = job.harness.runs.find((one) => one.id === runId);
      const at = run && placeOn(run, atMm);
      return place(at?.atMm ?? atMm, job.harness.nodes.find((node) => node.id === at?.fromNodeId)?.name ?? '');
    };
    return madeOf(finding).map((made): SheetLine => ({
      spliceId: made.id,
      circuit: circuitWords(job, finding.circuitId),
      place: placeOf(made.atMm, made.runId),
      found: foundOf(job, finding.findingId),
      method: made.method,
      materials: made.materials.join('; '),
      readings: readingsOf(made, readings),
      standing: standingOf(
        made.checks,
        readings.filter((reading) => reading.spliceId === made.id && reading.make === made.make),
      ).standing,
      override: finding.chosenBy && `${finding.chosenBy.by}: ${finding.chosenBy.reason}`,
      temporaryUntil: job.findings.find((one) => one.id === finding.findingId)?.temporaryUntil,
      redos: made.make - 1,
      closedBy: made.closedBy,
      note: noteAtCavity(job, finding),
    }));
  });
}

const recordedLine = (record: SpliceRecord): SheetLine => ({
  spliceId: record.spliceId,
  circuit: `${record.circuitNumber} ${record.circuitFunction}`,
  place: place(record.atMm, record.fromName),
  found: foundWords(record.finding, record.cause),
  method: record.method,
  materials: record.materials.join('; '),
  readings: record.readings,
  standing: record.notMeasured === true ? 'looked' : 'passed',
  override: record.override,
  temporaryUntil: record.temporaryUntil,
  redos: record.redos,
  closedBy: record.closedBy ?? [],
});

const foundWords = (...words: readonly (string | undefined)[]): string =>
  words.filter((one) => one !== undefined && one !== '').join('; ');

/** What was found, as it stands in the job. */
function foundOf(job: Job, findingId: string): string {
  const finding = job.findings.find(({ id }) => id === findingId);
  if (!finding) return '';
  return foundWords(
    findingInWords(finding),
    finding.cause === undefined ? undefined : CAUSES[finding.cause as keyof typeof CAUSES],
  );
}

function circuitWords(job: Job, id: string): string {
  const circuit = job.harness.circuits.find((one) => one.id === id);
  return circuit ? `${circuit.number} ${circuit.function}` : id;
}

/** What is said of a finding that a person decides. */
function leftWords(job: Job, plan: FindingPlan): string {
  return noteAtCavity(job, plan) ?? `${plan.headline}. ${plan.because.at(-1) ?? ''}`;
}

/**
 * What was noted of damage at a connector, and how far its pigtail is mapped and proved; nothing for damage along a
 * run.
 */
function noteAtCavity(job: Job, plan: FindingPlan): string | undefined {
  const finding = job.findings.find((one) => one.id === plan.findingId);
  if (!finding || !isAtCavity(finding)) return undefined;
  const node = job.harness.nodes.find((one) => one.id === finding.at.nodeId);
  const card = job.mappings?.find((one) => one.nodeId === finding.at.nodeId);
  const mapped =
    node && card
      ? isProved(node, job.harness, card)
        ? ' Pigtail mapped by cavity, continuity proved.'
        : ' Pigtail mapped by cavity, continuity not proved yet.'
      : '';
  return `${node?.name ?? finding.at.nodeId}, cavity ${finding.at.cavity}: ${findingInWords(finding)}. ${finding.note ?? 'What was done is not noted.'}${mapped}`;
}

/** What was put right, once for each circuit: what is put off of one repair is put off of all its splices. */
const correctedSince = (records: readonly SpliceRecord[]): string[] => [
  ...new Set(
    records
      .flatMap(({ circuitNumber, circuitFunction, corrections = [] }) =>
        corrections.map((one) => ({
          at: one.at,
          words: `${circuitNumber} ${circuitFunction}. ${correctionWords(one)}`,
        })),
      )
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
      .map(({ words }) => words),
  ),
];

/** Findings of which something is made; once signed, of which there is a record. */
const workedOn = ({ findings }: Plan, records: readonly SpliceRecord[]): ReadonlySet<string> =>
  new Set(
    records.length > 0
      ? records.map(({ spliceId }) => findingOf(spliceId))
      : findings.filter((one) => madeOf(one).length > 0).map(({ findingId }) => findingId),
  );

/**
 * The sheet of a job: every splice with its place, materials and readings, and the cautions that apply. Once signed it
 * is what was recorded then, whatever shelf, practice or rules have become since; before, it is the work as it stands.
 */
export function jobSheet(
  job: Job,
  plan: Plan,
  readings: readonly Reading[],
  records: readonly SpliceRecord[] = [],
  when: When = inUtc,
  seen: readonly FunctionSeen[] = [],
): JobSheet {
  const [signed] = records;
  // Where leads are made longer all lies on the longer run.
  const laid = asLaid(job, plan.runs);
  const lines = signed ? records.map(recordedLine) : plannedLines(laid, plan, readings);
  return {
    jobNumber: job.number,
    title: job.title,
    machine: `${job.machine.name}, ${figure(job.machine.systemVoltageV)} V`,
    harness: job.harness.name,
    isolation: signed?.isolation ?? isolationWords(job, when),
    practice: signed?.practice.name ?? plan.practice.name,
    summary: summaryOf(lines),
    runs: drawnRuns(laid, plan, records),
    faces: touchedFaces(job, records, workedOn(plan, records)),
    lines,
    leftToYou: plan.findings
      .filter((finding) => madeOf(finding).length === 0)
      .map((finding) => ({ circuit: circuitWords(job, finding.circuitId), what: leftWords(job, finding) })),
    procedure: signed?.procedure,
    checkedBy: signed?.checkedBy,
    corrections: correctedSince(records),
    functions: sheetFunctions(functionsOf(job, plan, seen, readings)),
    cautions: signed?.cautions ?? plan.cautions,
  };
}

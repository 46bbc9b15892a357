import type { Catalogue } from '../catalogue/index.ts';
import { CAUSES, failedBefore, findingInWords, type Finding } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import { asLaid, type Plan } from '../plan/index.ts';
import { maySign, readInWords, standingOf, type FunctionSeen, type Reading, type Ruling } from '../prove/index.ts';
import { formatMm } from '../units/index.ts';
import { colourInWords, wireInWords } from '../wire/index.ts';
import { functionsOf, functionWords } from './functions.ts';
import { costsOf } from './cost.ts';
import { madeOf, takenFrom, type Made } from './made.ts';
import type { RecordPhoto, RecordReading, SpliceRecord } from './types.ts';

/** A record that cannot be made, with the splices that stand in the way. */
export class RecordRefused extends Error {
  constructor(
    message: string,
    readonly spliceIds: readonly string[],
  ) {
    super(message);
    this.name = 'RecordRefused';
  }
}

/**
 * Where something is, from a named point: from the run's start, but at the far end of a run that nobody has measured
 * from there, since nobody knows how far it is from the start.
 */
export function placeOn(run: Run, atMm: number): { readonly atMm: number; readonly fromNodeId: string } {
  return run.atLeast === true && atMm >= run.lengthMm
    ? { atMm: 0, fromNodeId: run.toNodeId }
    : { atMm, fromNodeId: run.fromNodeId };
}

/** The readings of one splice, earlier makes too, each with its ruling. */
export function readingsOf(made: Made, readings: readonly Reading[]): RecordReading[] {
  return readings
    .filter((reading) => reading.spliceId === made.id)
    .flatMap((reading) => {
      const check = made.checks.find((one) => one.id === reading.checkId);
      const ruling: Ruling | undefined = check && standingOf([check], [reading]).rulings.get(check.id);
      if (!check || !ruling) return [];
      return [
        {
          title: check.title,
          words: readInWords(check, reading),
          ruling,
          by: reading.by,
          at: reading.at,
          make: reading.make,
        },
      ];
    });
}

/** What failed here before, by the records of it. */
function failedOf(found: Finding, job: Pick<Job, 'earlier' | 'earlierEnds'>): Pick<SpliceRecord, 'failedBefore'> {
  const failed = failedBefore(found, job).map(({ repair: { id, words }, why }) => ({ recordId: id, words, why }));
  return failed.length > 0 ? { failedBefore: failed } : {};
}

/** A reason stands in for its reading. */
const isOnlyLookedAt = ({ id, make, checks }: Made, readings: readonly Reading[]): boolean =>
  standingOf(
    checks,
    readings.filter((reading) => reading.spliceId === id && reading.make === make),
  ).standing === 'looked';

const ISOLATION_WORDS = { provedDead: 'proved dead with a meter', batteryOff: 'battery negative off' } as const;

/** How an instant is told to people: in local time where that is known, else in UTC and saying so. */
export type When = (iso: string) => string;
export const inUtc: When = (iso) => `${iso.slice(0, 16).replace('T', ' ')} UTC`;

/** How a job was made safe, by whom and when. */
export function isolationWords(job: Job, when: When): string {
  const { isolation } = job.gate;
  return isolation ? `${ISOLATION_WORDS[isolation.how]}, ${isolation.by}, ${when(isolation.at)}` : 'not confirmed';
}

/** Who signs, when, and what is said with it. */
export interface Signing {
  readonly by: string;
  readonly at: string;
  readonly note: string;
  readonly procedure?: string | undefined;
  readonly checkedBy?: string | undefined;
  /** Photos by finding. */
  readonly photosOf?: ((findingId: string) => readonly RecordPhoto[]) | undefined;
}

/** What is said of a finding with the signature; nothing of what nobody said. */
function saidWith({ procedure = '', checkedBy = '', photosOf }: Signing, findingId: string) {
  const photos = photosOf?.(findingId) ?? [];
  return {
    ...(procedure === '' ? {} : { procedure }),
    ...(checkedBy === '' ? {} : { checkedBy }),
    ...(photos.length > 0 ? { photos } : {}),
  };
}

/** Wire that was cut for it, with what is written on its reel. */
const wiresOf = ({ wires }: Made): SpliceRecord['wires'] =>
  wires.map(({ name, mm, reel }) => ({ name, mm: Math.round(mm), ...(reel === undefined ? {} : { reel }) }));

/**
 * The records of a job, one for each splice, cover and work at a cavity.
 * @param shelf what parts and wires were taken from: their lots, reels and prices, where they are noted
 * @throws RecordRefused when a splice has no readings, has not passed, or the plan still leaves a finding open
 */
export function buildRecords(
  job: Job,
  plan: Plan,
  readings: readonly Reading[],
  signed: Signing,
  when: When = inUtc,
  seen: readonly FunctionSeen[] = [],
  shelf?: Catalogue,
): SpliceRecord[] {
  const noted = shelf && takenFrom(shelf, plan, job.harness);
  const costs = shelf && costsOf(job, plan, shelf);
  const functions = functionsOf(job, plan, seen, readings);
  const circuitOf = new Map(job.harness.circuits.map((circuit) => [circuit.id, circuit]));
  const { runs } = asLaid(job, plan.runs).harness;
  const open: string[] = [];
  const without: string[] = [];
  for (const finding of plan.findings) {
    for (const made of madeOf(finding)) {
      const own = readings.filter((reading) => reading.spliceId === made.id && reading.make === made.make);
      if (own.length === 0) without.push(made.id);
      else if (!maySign(standingOf(made.checks, own).standing)) open.push(made.id);
    }
  }
  const numbers = (ids: readonly string[]): string =>
    [
      ...new Set(
        ids.map(
          (id) =>
            circuitOf.get(
              plan.findings.find((finding) => madeOf(finding).some((made) => made.id === id))?.circuitId ?? '',
            )?.number ?? id,
        ),
      ),
    ].join(', ');
  if (!plan.gate.open)
    throw new RecordRefused(
      `The gate is not open: ${plan.gate.missing
        .filter((need) => need.stops)
        .map((need) => need.because)
        .join(' ')}`,
      [],
    );
  if (without.length > 0)
    throw new RecordRefused(
      `No readings yet for the splices of circuit ${numbers(without)}. Take them in Prove; a record without readings is refused.`,
      without,
    );
  if (open.length > 0)
    throw new RecordRefused(
      `The readings of circuit ${numbers(open)} are not all passed. Finish them in Prove, or make the joint again.`,
      open,
    );

  return plan.findings.flatMap((finding) => {
    const circuit = circuitOf.get(finding.circuitId);
    const source = job.findings.find((one) => one.id === finding.findingId);
    const home = runs.find((one) => one.id === finding.runId);
    if (!circuit || !source || !home) return [];
    const ranked = finding.ranked.find((method) => method.methodId === finding.chosen);
    return madeOf(finding, noted).map((made): SpliceRecord => {
      const run = runs.find((one) => one.id === made.runId) ?? home;
      const place = placeOn(run, made.atMm);
      return {
        spliceId: made.id,
        jobNumber: job.number,
        machine: job.machine.name,
        harness: job.harness.name,
        circuitNumber: circuit.number,
        circuitFunction: circuit.function,
        wire: `${wireInWords(circuit.wire)}, ${colourInWords(circuit.wire.colour)}`,
        run: run.name,
        atMm: place.atMm,
        fromName: job.harness.nodes.find((node) => node.id === place.fromNodeId)?.name ?? place.fromNodeId,
        finding: findingInWords(source),
        approach: finding.headline,
        method: made.method,
        materials: made.materials,
        tools: made.tools ?? ranked?.toolNames ?? [],
        because: finding.because,
        ...(source.cause === undefined ? {} : { cause: CAUSES[source.cause as keyof typeof CAUSES] }),
        parts: made.parts.map(({ name, partId }) => {
          const lot = noted?.lotOf(partId);
          return lot === undefined ? { name } : { name, lot };
        }),
        ...(made.wires.length > 0 ? { wires: wiresOf(made) } : {}),
        cost: costs?.get(made.id),
        closedBy: made.closedBy,
        ...failedOf(source, job),
        override: finding.chosenBy && `${finding.chosenBy.by} chose this: ${finding.chosenBy.reason}`,
        insert: finding.insert && formatMm(finding.insert.lengthMm, 0),
        readings: readingsOf(made, readings),
        ...(isOnlyLookedAt(made, readings) ? { notMeasured: true } : {}),
        functionSeen: functionWords(circuit.id, functions),
        redos: made.make - 1,
        temporaryUntil: source.temporaryUntil,
        practice: plan.practice,
        catalogue: plan.catalogue,
        isolation: isolationWords(job, when),
        cautions: plan.cautions,
        signedBy: signed.by,
        signedAt: signed.at,
        note: signed.note,
        ...saidWith(signed, finding.findingId),
        ...(made.body ? { onWire: { ...made.body, circuitId: circuit.id, runId: run.id } } : {}),
        ...(made.at ? { atEnd: { ...made.at, circuitId: circuit.id } } : {}),
        ...(finding.cutsOut.length > 0 ? { cutsOut: finding.cutsOut.map((one) => one.id) } : {}),
        ...(source.makesGood ? { makesGood: source.makesGood } : {}),
      };
    });
  });
}

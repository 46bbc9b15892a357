import type { Failure, Finding } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { Job, Machine } from '@mendum/core/job';
import { areaMm2 } from '@mendum/core/wire';
import { harvesterJob } from './harvester.ts';
import { DUNMARRA, FERRY, RAMP, REAR_LOOM } from './otherHarnesses.ts';
import { dayFrom, momentFrom } from './parts.ts';
import { resurfacerJob } from './resurfacer.ts';

/** A repair of the past: its job, who did it, what was noted, and whether it had to be made again. */
export interface PastJob {
  readonly job: Job;
  readonly by: string;
  readonly note: string;
  /** Of which lot the butts on the shelf were. */
  readonly lot: string;
  readonly failFirst: boolean;
  /** Why the earlier repair failed that this one is the comeback of. */
  readonly failed?: Failure | undefined;
}

const DAYS = 730;
const REPAIRS = 200;
const PEOPLE = ['Ines Valdur', 'Marek Osei'] as const;
/** Days before today between which one lot of butts was bad, and one nest out of setting. */
const BAD_LOT = { from: 330, to: 260, lot: 'T-0412' } as const;
const NEST_OUT = { from: 520, to: 440 } as const;
/** The small nest takes copper up to so much, mm². */
const SMALL_NEST_MM2 = 1.04;
/** Of the bad lot so many come back, and after so many days. */
const COMES_BACK = 0.6;
const BACK_AFTER = 35;

/** Numbers that are the same every time, from 0 to below 1. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

/** A model with its loom, and where along it most goes wrong. */
interface Model {
  readonly machine: Machine;
  readonly harness: Harness;
  readonly machines: number;
  readonly weak: { readonly runId: string; readonly atMm: number; readonly cause: string };
}

const models = (today: Date): readonly Model[] => [
  {
    machine: harvesterJob(today).machine,
    harness: harvesterJob(today).harness,
    machines: 8,
    weak: { runId: 'R1', atMm: 430, cause: 'Rubbed at the swinging arm.' },
  },
  {
    machine: DUNMARRA,
    harness: REAR_LOOM,
    machines: 8,
    weak: { runId: 'R1', atMm: 620, cause: 'Salt under the tape.' },
  },
  {
    machine: resurfacerJob(today).machine,
    harness: resurfacerJob(today).harness,
    machines: 5,
    weak: { runId: 'R1', atMm: 520, cause: 'Water stands behind the frame wall.' },
  },
  { machine: FERRY, harness: RAMP, machines: 3, weak: { runId: 'R1', atMm: 330, cause: 'Pulled with the lid.' } },
];
const NOTES = ['Rubbed at a clip.', 'Pulled when the pump was changed.', 'A mouse.', 'Pinched by a bracket.'];
const KINDS = ['parted', 'corroded', 'parted', 'strandsLost', 'parted', 'corroded'] as const;

/** One of the machines of a model, as the workshop calls it. */
const numbered = ({ machine, harness }: Model, unit: number): { machine: Machine; harness: Harness } => {
  const name = `${machine.name} no. ${unit + 2}`;
  return { machine: { ...machine, name }, harness: { ...harness, id: `${harness.id}-${unit + 2}` } };
};

/**
 * Two years of made-up repairs, the first one first: a lot of butts that comes back, a nest out of setting, places that
 * are weak on every machine of a model. The same every time but for the days, which count from today.
 */
export function pastJobs(today: Date): readonly PastJob[] {
  const random = seeded(2_001);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const all = models(today);
  const fleet = all.flatMap((model) => Array.from({ length: model.machines }, (_one, unit) => ({ model, unit })));
  const back: { readonly ago: number; readonly unit: (typeof fleet)[number]; readonly finding: Finding }[] = [];
  return Array.from({ length: REPAIRS }, (_one, index): PastJob => {
    const ago = Math.round(DAYS - (index * (DAYS - 50)) / REPAIRS);
    const due = back.findIndex((one) => one.ago >= ago + BACK_AFTER);
    const [again] = due >= 0 ? back.splice(due, 1) : [];
    const of = again?.unit ?? pick(fleet);
    const { machine, harness } = numbered(of.model, of.unit);
    const { weak } = of.model;
    const isWeak = random() < 0.5;
    const run =
      (isWeak && harness.runs.find(({ id }) => id === weak.runId)) ||
      pick(harness.runs.filter(({ lengthMm }) => lengthMm > 300));
    const circuit = pick(harness.circuits.filter(({ runIds, pairWith }) => runIds.includes(run.id) && !pairWith));
    const fromMm = isWeak
      ? Math.round(weak.atMm + 40 * (random() - 0.5))
      : Math.round(110 + random() * (run.lengthMm - 230));
    const day = dayFrom(today, -ago);
    const by = pick(PEOPLE);
    const isBad = ago <= BAD_LOT.from && ago >= BAD_LOT.to;
    const lot = isBad ? BAD_LOT.lot : `T-${String(380 + Math.floor((DAYS - ago) / 60)).padStart(4, '0')}`;
    const kind = pick(KINDS);
    const found: Finding = again
      ? {
          ...again.finding,
          kind: 'poorRepair',
          cause: 'repair',
          fromMm: again.finding.fromMm - 6,
          toMm: again.finding.toMm + 6,
          note: 'Came back: the butt let go, its barrel cracked.',
        }
      : {
          id: 'F1',
          circuitId: circuit.id,
          runId: run.id,
          ...(kind === 'strandsLost' ? { kind, strandsLost: 6, strandsTotal: 19 } : { kind }),
          fromMm,
          toMm: fromMm + 4 + Math.round(random() * 10),
          cutBackLeftMm: kind === 'corroded' ? 8 : 3,
          cutBackRightMm: kind === 'corroded' ? 8 : 3,
          slackMm: Math.round(20 + random() * 60),
          note: isWeak ? weak.cause : pick(NOTES),
        };
    if (isBad && !again && random() < COMES_BACK) back.push({ ago, unit: of, finding: found });
    const isSmall = areaMm2(circuit.wire.size) <= SMALL_NEST_MM2;
    const isNestOut = ago <= NEST_OUT.from && ago >= NEST_OUT.to && isSmall;
    return {
      by,
      failFirst: isNestOut,
      ...(again ? { failed: 'cracked' as const } : {}),
      lot,
      note: isNestOut ? 'The small nest was out of setting; made again with the other tool.' : '',
      job: {
        id: `past-${index}`,
        number: `${day.slice(2, 4)}-${String(index + 1).padStart(3, '0')}`,
        title: again
          ? `Came back: circuit ${harness.circuits.find(({ id }) => id === found.circuitId)?.number ?? ''}`
          : `${circuit.function}, ${run.name.toLowerCase()}`,
        asOf: day,
        machine,
        harness,
        gate: { isolation: { how: 'provedDead', by, at: momentFrom(today, -ago, 7, 30) } },
        choices: [],
        pins: [],
        redos: [],
        // A few were to be made anew: one of them never was.
        findings: [index === 150 ? { ...found, temporaryUntil: dayFrom(today, -20) } : found],
      },
    };
  });
}

import type { Finding } from '../damage/index.ts';
import type { Circuit, Harness, Run } from '../harness/index.ts';
import { NOTHING_YET, type Job } from '../job/index.ts';
import { capital } from '../units/index.ts';
import { colourInWords, USUAL_CONDUCTOR, USUAL_JACKET, type WireColour, type WireSize } from '../wire/index.ts';
import { placeFacts, type QuickPlace } from './places.ts';
import type { QuickCircuit, QuickDamage, QuickRepair } from './types.ts';

/** Slack by feel, mm: what may be counted on of a finger's and of a hand's breadth. Ours: the lesser of grown people's. */
export const SLACK_BY_FEEL = { none: 0, finger: 15, hand: 80 } as const;
export type SlackFelt = keyof typeof SLACK_BY_FEEL;

/** Harness that is opened on each side of the damage where nobody says otherwise, mm. Ours, as the figures below. */
const OPEN_USUAL_MM = 300;
/** A moving stretch where nobody has measured it, mm. */
export const BENDS_USUAL_MM = 200;

/** Visible damage and cut-back on each side, mm, where nobody has measured them. */
const USUAL_LOSS: Record<QuickDamage, { readonly lostMm: number; readonly cutBackMm: number }> = {
  parted: { lostMm: 2, cutBackMm: 5 },
  jacketRubbed: { lostMm: 15, cutBackMm: 0 },
  strandsLost: { lostMm: 5, cutBackMm: 5 },
  corroded: { lostMm: 20, cutBackMm: 15 },
  cooked: { lostMm: 30, cutBackMm: 15 },
  poorRepair: { lostMm: 40, cutBackMm: 5 },
};

/** What somebody has tapped so far; the rest is assumed. */
export interface QuickTapped {
  readonly wires: readonly { readonly colour: WireColour; readonly size: WireSize }[];
  readonly damage: QuickDamage;
  readonly place: QuickPlace;
}

/** Strands of a bunched wire where nobody has counted them; and how many are taken to be lost. */
const USUAL_STRANDS = { lost: 3, total: 19 } as const;

/** A repair with all that was not tapped as it usually is. */
export function quickOf({ wires, damage, place }: QuickTapped): QuickRepair {
  const { zone, bends } = placeFacts(place);
  return {
    wires: wires.map(({ colour, size }) => ({ size, conductor: USUAL_CONDUCTOR, jacket: USUAL_JACKET, colour })),
    circuitKind: 'power',
    systemVoltageV: 12,
    damage,
    ...USUAL_LOSS[damage],
    ...(damage === 'strandsLost' ? { strands: USUAL_STRANDS } : {}),
    zone,
    ...(bends ? { bendsMm: BENDS_USUAL_MM } : {}),
    slackMm: SLACK_BY_FEEL.none,
    openMm: OPEN_USUAL_MM,
  };
}

/** The machine of a repair that nobody has named one for yet. */
export const UNNAMED_MACHINE = 'Machine not named yet';

const KIND_WORDS: Record<QuickCircuit, string> = {
  power: 'feed',
  ground: 'ground',
  ignition: 'ignition feed',
  signal: 'signal',
  lowLevel: 'low-level signal',
  data: 'data',
};
export const quickCircuitInWords = (kind: QuickCircuit): string => KIND_WORDS[kind];

/**
 * The harness of a wire in the hand: the stretch that is opened, between two marks of tape, the damage in its middle.
 * All places are measured from mark A, so nothing needs to be known of what lies beyond.
 */
function harnessOf(quick: QuickRepair): Harness {
  const middleMm = quick.openMm;
  const half = (quick.bendsMm ?? 0) / 2;
  const run: Run = {
    id: 'R1',
    name: quick.where ?? 'Opened stretch',
    fromNodeId: 'A',
    toNodeId: 'B',
    lengthMm: 2 * quick.openMm,
    zone: quick.zone,
    features:
      half > 0
        ? [
            {
              kind: 'flex',
              name: 'Moving stretch',
              fromMm: Math.max(0, middleMm - half),
              toMm: Math.min(2 * middleMm, middleMm + half),
            },
          ]
        : [],
  };
  const circuits = quick.wires.map((wire, index): Circuit => {
    const number = String(index + 1);
    return {
      id: `C${number}`,
      number,
      function: `${capital(colourInWords(wire.colour))} ${KIND_WORDS[quick.circuitKind]}`,
      kind: quick.circuitKind,
      wire,
      from: { nodeId: 'A', cavity: number },
      to: { nodeId: 'B', cavity: number },
      runIds: [run.id],
    };
  });
  return {
    id: 'quick',
    name: quick.where ?? (quick.wires.length === 1 ? 'Wire in the hand' : `${quick.wires.length} wires in the hand`),
    nodes: [
      { id: 'A', kind: 'end', name: 'Mark A' },
      { id: 'B', kind: 'end', name: 'Mark B' },
    ],
    runs: [run],
    circuits,
  };
}

/** What a repair says of each wire. Damage ids are F1, F2, … */
function findingsOf(quick: QuickRepair): Finding[] {
  const half = Math.max(quick.lostMm, 0.5) / 2;
  const cutsBack = quick.damage === 'jacketRubbed' ? 0 : quick.cutBackMm;
  return quick.wires.map((_, index): Finding => {
    const base = {
      id: `F${index + 1}`,
      circuitId: `C${index + 1}`,
      runId: 'R1',
      fromMm: quick.openMm - half,
      toMm: quick.openMm + half,
      cutBackLeftMm: cutsBack,
      cutBackRightMm: cutsBack,
      slackMm: quick.slackMm,
    };
    return quick.damage === 'strandsLost'
      ? {
          ...base,
          kind: 'strandsLost',
          strandsLost: quick.strands?.lost ?? 1,
          strandsTotal: quick.strands?.total ?? 19,
        }
      : { ...base, kind: quick.damage };
  });
}

/** A job on a sketch of a harness, whose machine nobody has named yet. */
export const sketchJob = (
  harness: Harness,
  { where, systemVoltageV }: Pick<QuickRepair, 'where' | 'systemVoltageV'>,
  findings: readonly Finding[],
): Job => ({
  ...NOTHING_YET,
  id: 'quick',
  number: '0',
  title: where ?? harness.name,
  machine: { id: 'quick', name: UNNAMED_MACHINE, kind: 'not said', systemVoltageV },
  harness,
  findings,
});

/**
 * A job that says just what is known of the wire in the hand; it is planned, proved and recorded like any other.
 * @param quick one of which {@link checkQuick} finds nothing
 */
export const quickJob = (quick: QuickRepair): Job => sketchJob(harnessOf(quick), quick, findingsOf(quick));

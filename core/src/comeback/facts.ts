import type { Failure } from '../damage/index.ts';
import type { SpliceRecord } from '../record/index.ts';

/** What may be compared: repairs that share it are counted together. */
export const COMPARED = {
  method: 'Method',
  part: 'Part',
  lot: 'Lot or reel',
  nest: 'Tool and nest',
  person: 'Who signed',
  model: 'Harness of one name',
  place: 'Place',
} as const;
export type Compared = keyof typeof COMPARED;
export const COMPARED_NAMES = Object.keys(COMPARED) as readonly Compared[];

/** What counts of a signed repair. Days are ISO dates. */
export interface RepairFact {
  readonly day: string;
  readonly machine: string;
  /** What it goes under, by what is compared; several parts are several. */
  readonly under: Readonly<Record<Compared, readonly string[]>>;
  /** It was made again before it was signed. */
  readonly again: boolean;
}

/** That a repair came back: how many days after it was signed, and why it failed where somebody saw it. */
export interface CameBack {
  readonly afterDays: number;
  readonly why?: Failure | undefined;
}

/** Places are told by stretches of so many mm of a run. */
const STRETCH_MM = 100;

/** On which stretch of which run of harnesses of one name: "400–500 mm from X1, Main trunk, Boom loom". */
function placeOf({ harness, run, atMm, fromName }: SpliceRecord): string {
  const fromMm = Math.floor(atMm / STRETCH_MM) * STRETCH_MM;
  return `${fromMm}–${fromMm + STRETCH_MM} mm from ${fromName}, ${run}, ${harness}`;
}

/** The nest before its tool: "Nest small (red dot), 0.33–1.04 mm², Ratchet crimper". */
function nestFirst(words: string): string {
  const at = words.indexOf(', nest ');
  return at < 0 ? words : `N${words.slice(at + 3)}, ${words.slice(0, at)}`;
}

/** What counts of a record. */
export function factOf(record: SpliceRecord): RepairFact {
  const { parts = [], wires = [], closedBy = [] } = record;
  const lots = [
    ...parts.flatMap(({ name, lot }) => (lot === undefined ? [] : [`${name}, lot ${lot}`])),
    ...wires.flatMap(({ name, reel }) => (reel === undefined ? [] : [`${name}, reel ${reel}`])),
  ];
  return {
    day: record.signedAt.slice(0, 10),
    machine: record.machine,
    under: {
      method: [record.method],
      part: [...new Set(parts.map(({ name }) => name))],
      lot: [...new Set(lots)],
      nest: [...new Set(closedBy.map(nestFirst))],
      person: [record.signedBy],
      model: [record.harness],
      place: [placeOf(record)],
    },
    again: record.redos > 0,
  };
}

import type { Cavity } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';

/** A stretch along a run, mm from the run's start, from < to. */
export interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Damage that lies along a wire. */
export const RUN_FINDING_KINDS = [
  'jacketRubbed',
  'strandsLost',
  'parted',
  'corroded',
  'cooked',
  'poorRepair',
  'addCircuit',
] as const;
/** Damage at a cavity: of a terminal, of a seal or lock piece, of the housing for the circuits in it, or of the wire right at it. */
export const CAVITY_FINDING_KINDS = [
  'terminalDamaged',
  'terminalMiscrimped',
  'housingBroken',
  'housingMelted',
  'sealLost',
  'lockLost',
  'cutFlush',
  'tooShort',
  'misplaced',
  'noMatingPart',
] as const;
export type RunFindingKind = (typeof RUN_FINDING_KINDS)[number];
export type CavityFindingKind = (typeof CAVITY_FINDING_KINDS)[number];

export const FINDING_KINDS = [...RUN_FINDING_KINDS, ...CAVITY_FINDING_KINDS] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

export const FINDING_WORDS: Record<FindingKind, string> = {
  jacketRubbed: 'jacket rubbed through, copper whole',
  strandsLost: 'strands nicked or broken',
  parted: 'wire cut or a length missing',
  corroded: 'corrosion under the jacket',
  cooked: 'wire cooked stiff',
  poorRepair: 'earlier poor repair',
  addCircuit: 'a circuit to be added here',
  terminalDamaged: 'terminal damaged',
  terminalMiscrimped: 'terminal crimped wrongly',
  housingBroken: 'housing or latch broken, terminals good',
  housingMelted: 'housing melted',
  sealLost: 'seal or plug lost',
  lockLost: 'lock piece lost',
  cutFlush: 'wire cut flush at the connector',
  tooShort: 'lead too short after a part moved',
  misplaced: 'in the wrong cavity, or backed out',
  noMatingPart: 'no mating part to be had',
};

/** What exactly is seen, for kinds of which there are several sorts. */
export const FINDING_SORTS: Partial<Record<FindingKind, Readonly<Record<string, string>>>> = {
  poorRepair: {
    twistedTaped: 'twisted and taped',
    clampTap: 'clamp-on tap',
    bareButt: 'bare butt joint',
    crackedSolder: 'cracked solder',
  },
  terminalDamaged: { bent: 'bent', spread: 'spread', burnt: 'burnt', pulled: 'pulled off its wire' },
  misplaced: {
    wrongCavity: 'in the wrong cavity',
    backedOut: 'backed out, not latched',
    bentLance: 'backed out, its lance bent',
  },
  sealLost: {
    wireSeal: 'the seal on the wire, which slides on before crimping',
    plug: 'the plug of an empty cavity',
    housingSeal: 'the seal round the housing',
  },
};

interface Base extends Stretch {
  readonly id: string;
  readonly circuitId: string;
  readonly runId: string;
  /** Beyond the visible damage, until copper is bright and the jacket supple; mm on each side. */
  readonly cutBackLeftMm: number;
  readonly cutBackRightMm: number;
  /** Wire that the harness gives back when it is pulled together here, by hand; unknown counts as 0. */
  readonly slackMm?: number | undefined;
  /** Largest thing on the freed end that a sleeve must pass; absent when no end can be freed. */
  readonly freedEndMm?: number | undefined;
  /** The wire beyond the damage, where it differs from the circuit's own. */
  readonly farWire?: WireSpec | undefined;
  /** The wire asked for as an insert; chosen from the wire on hand when absent. */
  readonly insertWire?: WireSpec | undefined;
  /** ISO date by which a temporary repair comes back; absent for a permanent one. */
  readonly temporaryUntil?: string | undefined;
  readonly note?: string | undefined;
  /** One of the kind's `FINDING_SORTS`. */
  readonly sort?: string | undefined;
}

/** What was found on one wire at one place. A finding at a cavity names it in `at`, and lies at that end of its run. */
export type Finding =
  | (Base & { readonly kind: Exclude<RunFindingKind, 'strandsLost' | 'addCircuit' | 'poorRepair'> })
  | (Base & {
      readonly kind: 'poorRepair';
      /** Wires that the earlier repair joined on as well, as a clamp-on tap does: they are joined again. */
      readonly branchWires?: readonly WireSpec[] | undefined;
    })
  | (Base & { readonly kind: 'strandsLost'; readonly strandsLost: number; readonly strandsTotal: number })
  | (Base & {
      readonly kind: 'addCircuit';
      readonly branchWires: readonly WireSpec[];
      /** The main wire must stay whole. */
      readonly mainUncut?: boolean | undefined;
      /** An empty cavity that takes the added wire, with its terminal, in place of a joint. */
      readonly freeCavity?: Cavity | undefined;
    })
  | (Base & { readonly kind: Exclude<CavityFindingKind, 'tooShort'>; readonly at: Cavity })
  | (Base & { readonly kind: 'tooShort'; readonly at: Cavity; readonly shortByMm: number });

export type FindingOf<K extends FindingKind> = Extract<Finding, { readonly kind: K }>;
export type CavityFinding = Extract<Finding, { readonly at: Cavity }>;

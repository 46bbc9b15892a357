import type { Choice, Gate, BegunWork, Redo } from '../approach/index.ts';
import type { EarlierEnd, EarlierRepair, Finding } from '../damage/index.ts';
import type { Harness } from '../harness/index.ts';
import type { LayoutWishes, Pin } from '../layout/index.ts';
import type { MappingCard } from '../mapping/index.ts';

/** The machine that the harness belongs to. */
export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly systemVoltageV: number;
}

/** What a harness is called, and of which machine it is. */
export interface NamedHarness {
  readonly name: string;
  readonly machine: Machine;
}

/** Everything that a plan is computed from, besides practice and catalogue: what was found and what people decided. */
export interface Job {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  /** ISO date against which calibrations and due dates are read. */
  readonly asOf?: string | undefined;
  readonly machine: Machine;
  readonly harness: Harness;
  readonly findings: readonly Finding[];
  readonly gate: Gate;
  readonly choices: readonly Choice[];
  readonly pins: readonly Pin[];
  readonly redos: readonly Redo[];
  /** Repairs of earlier jobs that are on the harness already. */
  readonly earlier?: readonly EarlierRepair[] | undefined;
  /** The last work of earlier jobs at cavities and ends. */
  readonly earlierEnds?: readonly EarlierEnd[] | undefined;
  /** What people decided about the layout. */
  readonly layout?: LayoutWishes | undefined;
  /** What begun work is made by. */
  readonly held?: readonly BegunWork[] | undefined;
  /** Mapping cards of replaced connectors and pigtails. */
  readonly mappings?: readonly MappingCard[] | undefined;
}

/** Nothing found and nothing decided yet: what a job begins with. */
export const NOTHING_YET = { findings: [], gate: {}, choices: [], pins: [], redos: [] } as const satisfies Partial<Job>;

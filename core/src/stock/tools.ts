import type { TerminalFamily } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { PartColour, Range } from './stocked.ts';

/** What a nest closes on. */
export const NEST_STROKES = ['conductor', 'jacket', 'both'] as const;
export const NEST_BARRELS = ['insulated', 'bare'] as const;

/** One opening of a tool's dies: the wrong one is the fault that looks good. */
export interface Nest {
  readonly name: string;
  /** Copper that it closes on, mm²; of a jacket's nest, the copper of the wires it is for. */
  readonly range: Range;
  readonly stroke: (typeof NEST_STROKES)[number];
  /** Terminal families that it is for; any of the tool's when absent. */
  readonly families?: readonly TerminalFamily[] | undefined;
  /** Barrels with a collar round them, or bare ones; either when absent. */
  readonly barrel?: (typeof NEST_BARRELS)[number] | undefined;
  /** Colour of the dot beside it. */
  readonly dot?: PartColour | undefined;
}

/** A tool that is really there. Calibration is an ISO date; without one it was never calibrated. */
export interface AnyTool<T extends string = string> {
  readonly id: string;
  readonly name: string;
  readonly tasks: readonly T[];
  /** Copper range of its dies, mm²; absent when the task has no dies. */
  readonly range?: Range | undefined;
  /** Terminal families of its dies, for a tool that crimps terminals. */
  readonly families?: readonly TerminalFamily[] | undefined;
  /** Its openings, where somebody has listed them; then one of them has to take the work. */
  readonly nests?: readonly Nest[] | undefined;
  readonly ratchet: boolean;
  readonly calibratedUntil?: string | undefined;
}

/** What is to be said of something that a tool does. */
export interface Task {
  /** Of a tool that does it: "crimps splice clips". */
  readonly does: string;
  /** What is missing where no tool does it: "a crimper for open clips". */
  readonly tool: string;
  /** It closes something that a ratchet must not let go early. */
  readonly isCrimp: boolean;
  /** Its dies close round all wires at once: their range is for the copper in all. */
  readonly isByTotal?: boolean;
}

/** What is done with tools whatever joins the wires. */
export const COMMON_TASKS = {
  crimpTerminal: { does: 'crimps terminals', tool: 'a crimper for the terminal', isCrimp: true },
  solder: { does: 'solders', tool: 'an iron big enough', isCrimp: false },
  hotAir: { does: 'hot air', tool: 'a hot-air gun', isCrimp: false },
} as const satisfies Record<string, Task>;
export type CommonTask = keyof typeof COMMON_TASKS;

/** Generic tools for those, never calibrated: a shop adds its own dates. */
export const COMMON_TOOLS: readonly AnyTool<CommonTask>[] = [
  {
    id: 'tool-iron',
    name: 'Soldering iron 70 W',
    tasks: ['solder'],
    range: { minMm2: 0, maxMm2: 2.5 },
    ratchet: false,
  },
  {
    id: 'tool-iron-140',
    name: 'Soldering iron 140 W',
    tasks: ['solder'],
    range: { minMm2: 0, maxMm2: 6 },
    ratchet: false,
  },
  { id: 'tool-hotAir', name: 'Hot-air gun with reflector', tasks: ['hotAir'], ratchet: false },
];

/** Wire on hand. */
export interface WireStock {
  readonly id: string;
  readonly wire: WireSpec;
  readonly lengthMm: number;
  /** What is written on the reel, or the harness that it was cut from: a record says from which a wire was cut. */
  readonly reel?: string | undefined;
  /** What a metre costs, in the shop's own money. */
  readonly pricePerM?: number | undefined;
}

import { FAMILY_KINDS, FAMILY_TASKS, FAMILY_TOOLS, type ToolTask } from '../family/index.ts';
import {
  COMMON_TASKS,
  COMMON_TOOLS,
  CONNECTOR_KIT,
  HOUSING,
  LOCK_PIECE,
  PIGTAIL,
  PLUG,
  POTTING,
  SLEEVE,
  SOLDER,
  TAPE,
  WIRE_SEAL,
  type PartKind,
  type Task,
} from '../stock/index.ts';
import { TERMINAL, TERMINAL_TOOLS } from '../terminal/index.ts';
import type { Part, Tool } from './types.ts';

/** Every kind of part there is: the families' own, and those that are everybody's. */
export const PART_KINDS: readonly PartKind<Part>[] = [
  ...FAMILY_KINDS,
  SLEEVE,
  TAPE,
  SOLDER,
  TERMINAL,
  WIRE_SEAL,
  PLUG,
  POTTING,
  HOUSING,
  LOCK_PIECE,
  CONNECTOR_KIT,
  PIGTAIL,
];

const BY_KIND = Object.fromEntries(PART_KINDS.map((kind) => [kind.kind, kind])) as unknown as Readonly<
  Record<Part['kind'], PartKind<Part>>
>;
/** All that is to be said of a kind of part. */
export const kindOf = (kind: Part['kind']): PartKind<Part> => BY_KIND[kind];
/** Whether a word names a kind of part. */
export const isPartKind = (kind: string): kind is Part['kind'] => Object.hasOwn(BY_KIND, kind);

/**
 * One of every generic part known, with its usual figures: what a shop starts from and edits to what is stamped.
 * Quantities are nought: this is what exists, not what is there.
 */
export const GENERIC_PARTS: readonly Part[] = PART_KINDS.flatMap(({ usual }) => usual);

/** What tools do, and how it is said. */
export const TOOL_TASKS: Readonly<Record<ToolTask, Task>> = { ...FAMILY_TASKS, ...COMMON_TASKS };
/** What tools do, by name. */
export const TOOL_TASK_IDS = Object.keys(TOOL_TASKS) as readonly ToolTask[];

/** A full set of generic tools, never calibrated: a shop adds its own dates. */
export const GENERIC_TOOLS: readonly Tool[] = [...FAMILY_TOOLS, ...TERMINAL_TOOLS, ...COMMON_TOOLS];

import type { FamilyPart, ToolTask } from '../family/index.ts';
import type {
  AnyTool,
  ConnectorKitPart,
  HousingPart,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  SleevePart,
  SolderPart,
  TapePart,
  TerminalPart,
  WireSealPart,
  WireStock,
} from '../stock/index.ts';

/** A part of any kind: what joins, what seals, what sits at a wire's end. */
export type Part =
  | FamilyPart
  | SleevePart
  | TapePart
  | SolderPart
  | TerminalPart
  | WireSealPart
  | PlugPart
  | PottingPart
  | HousingPart
  | LockPiecePart
  | ConnectorKitPart
  | PigtailPart;
/** The part of one kind, where a kind may be one of several that share a shape. */
export type PartOf<K extends Part['kind']> = Part extends infer P
  ? P extends Part
    ? K extends P['kind']
      ? P
      : never
    : never
  : never;

/** A tool that is really there. */
export type Tool = AnyTool<ToolTask>;

/** Everything that can be used: a part listed with quantity 0 is known but not there. */
export interface Catalogue {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly parts: readonly Part[];
  readonly tools: readonly Tool[];
  readonly wires: readonly WireStock[];
  /** Nobody has counted it: quantities are those of a usual shop, and no kit is called ready by them. */
  readonly uncounted?: boolean | undefined;
}

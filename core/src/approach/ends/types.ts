import type { Catalogue, Lack, Part, Tool } from '../../catalogue/index.ts';
import type { CavityFitting, TerminalFamily, Zone } from '../../harness/index.ts';
import type { MethodStatus, RuleHit } from '../../method/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import type { Form } from '../../terminal/index.ts';
import type { WireFacts } from '../../wire/index.ts';

/** The end of a wire that a terminal is chosen for. Lengths in mm. */
export interface EndSite {
  readonly wire: WireFacts;
  readonly fitting: CavityFitting | undefined;
  /** In a housing that may want a seal for each wire; otherwise at a stud, a tab, a clamp, or loose. */
  readonly isConnector: boolean;
  /** Circuits that end at the same place, this one included. */
  readonly sharedBy: number;
  readonly zone: Zone;
  /** Name of a stretch beside it that bends in use. */
  readonly flexing?: string | undefined;
  /** Ambient and own heating by the load, °C. */
  readonly placeC: number;
  readonly loadA?: number | undefined;
  readonly vapourAired: boolean;
  /** Day against which calibration is read. */
  readonly asOf?: string | undefined;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
}

/** What holds the copper in a terminal. */
export type Attach = 'crimp' | 'solder';

/** What keeps water out of a terminal's barrel or cavity. */
export type EndSeal =
  | { readonly kind: 'wireSeal'; readonly partId: string; readonly name: string }
  | { readonly kind: 'ownTube'; readonly name: string }
  | { readonly kind: 'sleeve'; readonly partId: string; readonly name: string; readonly cutMm: number }
  | { readonly kind: 'wrap'; readonly partId: string; readonly name: string; readonly lengthMm: number };

/** A terminal as it would be fitted, before any rule is asked. */
export interface EndCase {
  readonly site: EndSite;
  readonly form: Form;
  readonly part: TerminalPart;
  readonly attach: Attach;
  readonly folded: boolean;
  /** It would better be doubled over, and no barrel takes it so. */
  readonly foldMissing: boolean;
  readonly wantsSeal: boolean;
  readonly seal?: EndSeal | undefined;
  readonly tool?: Tool | undefined;
  /** What shrinks its seal, where heat does. */
  readonly hotAir?: Tool | undefined;
  /** The solder it is held with, where it is soldered. */
  readonly solderId?: string | undefined;
  /** Its seal as a part, where it is one. */
  readonly sealPart?: Part | undefined;
  /** Names of parts and tools that are not there. */
  readonly lacks: readonly Lack[];
}

/** One line of the ranking of terminals. */
export interface RankedEnd {
  /** Tells it from all others at this end: family, body, how it is held. */
  readonly id: string;
  readonly name: string;
  readonly attach: Attach;
  readonly family?: TerminalFamily | undefined;
  readonly part?: TerminalPart | undefined;
  readonly status: MethodStatus;
  readonly because: string;
  readonly hits: readonly RuleHit[];
  readonly stripMm: number;
  readonly folded: boolean;
  readonly seal?: EndSeal | undefined;
  readonly toolNames: readonly string[];
  /** The tool that crimps it. */
  readonly crimpTool?: Tool | undefined;
  readonly lacks: readonly Lack[];
  /** Why its like in another size that would go before it is refused, each by its name. */
  readonly passed: readonly string[];
  /** The terminal, its seal, its solder. */
  readonly usesPartIds: readonly string[];
}

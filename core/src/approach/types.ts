import type { Catalogue, Lack } from '../catalogue/index.ts';
import type { EarlierRepair, Finding, Stretch } from '../damage/index.ts';
import type { Cable, Beyonds, Circuit, HarnessNode, Run } from '../harness/index.ts';
import type { MappingCard } from '../mapping/index.ts';
import type { LeadSite, MethodStatus, RankedMethod, ReadyShelf, RuleHit, Site } from '../method/index.ts';
import type { MethodId } from '../family/index.ts';
import type { Practice } from '../practice/index.ts';
import type { InsertWireChoice } from '../sizing/index.ts';
import type { Redo } from './redoTypes.ts';
import type { Ask } from './askTypes.ts';
import type { CavityWork } from './cavityTypes.ts';
import type { Gate } from './gate.ts';

export const COVER_IDS = ['sleeveCover', 'fusingWrap', 'clothWrap'] as const;
export type CoverId = (typeof COVER_IDS)[number];

/** Ways of mending a circuit, by what is cut, joined and fitted. */
export const WAYS = [
  'cover',
  'refit',
  'correctCavity',
  'rehouse',
  'newTerminal',
  'fillCavity',
  'otherCavity',
  'solderToPin',
  'solderedLead',
  'oneSplice',
  'relead',
  'insert',
  'extend',
  'pigtail',
] as const;
export type Way = (typeof WAYS)[number];

/**
 * What is done about a finding. `byHand` is left to a person, with the reason; `withOther` is cut out together with a
 * neighbour.
 */
export type Approach = Way | 'procedure' | 'stopped' | 'withOther' | 'byHand';

/**
 * One way of mending a finding: whether it is possible, why or why not, what it costs and what it asks of the shelf.
 */
export interface RankedWay {
  readonly way: Way;
  readonly status: MethodStatus;
  readonly because: string;
  /** The rule that decided about it. */
  readonly ruleId: string;
  /** What would have to change for a refused one to be possible. */
  readonly allowedIf?: string | undefined;
  /** Wire is about what it takes until the chosen way is laid out; mm. */
  readonly cost: {
    readonly splices: number;
    readonly minutes: number;
    readonly wireMm: number;
    readonly parts: readonly string[];
  };
  /** What is not on the shelf. */
  readonly lacks: readonly Lack[];
}

/** A way of covering a jacket whose copper is whole. Lengths in mm. */
export interface RankedCover {
  readonly coverId: CoverId;
  readonly name: string;
  readonly status: MethodStatus;
  readonly partId?: string | undefined;
  readonly partName: string;
  /** Sleeve length to cut, or tape length to take. */
  readonly lengthMm: number;
  /** Over the jacket once it is on. */
  readonly diameterMm: number;
  readonly toolNames: readonly string[];
  readonly hits: readonly RuleHit[];
  readonly because: string;
  /** Parts and tools that are not there. */
  readonly lacks: readonly Lack[];
}

/** A person's choice against the ranking. */
export interface Choice {
  readonly findingId: string;
  readonly use: MethodId | CoverId | Way;
  /** The terminal of the ranking that is taken, where it is not the first. */
  readonly terminal?: string | undefined;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

/** What a finding is made by, once its work has begun: it stays, whatever shelf and ranking have become since. */
export interface BegunWork {
  readonly findingId: string;
  readonly way: Approach;
  readonly use?: MethodId | CoverId | undefined;
  readonly partIds: readonly string[];
  /** Findings that its work takes away. */
  readonly takes?: readonly string[] | undefined;
  /** Earlier repairs that are cut out with it, by id. */
  readonly cutsOut?: readonly string[] | undefined;
  /** Whether its insert may be of another colour; work begun before anybody was asked has leave. */
  readonly otherColours?: boolean | undefined;
}

/** The electrical standing of the mended wire. */
export interface Electrical {
  readonly areaMm2: number;
  readonly milliohmPerMetre: number;
  readonly ambientC: number;
  readonly loadedWires: number;
  /** What the wire may carry alone, and in its bundle; A. */
  readonly aloneA: number;
  readonly bundledA: number;
  /**
   * The least that any section of the path may carry, A, and where: "here", another run, the wire beyond, the insert.
   */
  readonly weakest: { readonly amps: number; readonly where: string };
  /** Ambient and own heating under the known load, °C; ambient alone where the load cannot be. */
  readonly placeC: number;
  /** A load that this wire cannot carry for a minute: the load or the size is wrong, A. */
  readonly impossibleLoadA?: number | undefined;
  readonly fuseA?: number | undefined;
  readonly fuseProtects?: boolean | undefined;
}

/** How much longer the run gets by an insert on every wire of a lead, mm. */
export interface Lengthening {
  readonly byMm: number;
}

/** What is done about a finding and why, as people read it. */
interface DecidedWords {
  readonly approach: Approach;
  readonly because: readonly string[];
  readonly warnings: readonly string[];
  /** What a person has to order, measure, note or settle, the first of them first; a card with any goes to the top. */
  readonly asks: readonly Ask[];
  readonly chosenBy?: Choice | undefined;
}

/** Everything that was looked at, judged: methods, covers, and every way in the order in which a master tries them. */
interface Looked {
  readonly ranked: readonly RankedMethod[];
  readonly covers: readonly RankedCover[];
  readonly ways: readonly RankedWay[];
}

/** What it takes of its wire; mm. */
interface DecidedWire {
  readonly lost: Stretch;
  readonly slackMm: number;
  readonly within?: Stretch | undefined;
  /** Slack that a new terminal takes of the tail. */
  readonly takesMm?: number | undefined;
  /** Findings that this work takes away; and the one whose work takes this one away. */
  readonly takes: readonly string[];
  readonly takenBy?: string | undefined;
  readonly redoCount: number;
}

/** What it is made by. */
interface DecidedWork {
  readonly method?: RankedMethod | undefined;
  readonly site?: Site | undefined;
  readonly insertWire?: InsertWireChoice | undefined;
  /**
   * How the shield is joined beside each splice, of a shielded circuit, and the wire that its drain goes on in beside
   * an insert.
   */
  readonly shield?: { readonly method: RankedMethod; readonly drain: InsertWireChoice } | undefined;
  readonly cover?: RankedCover | undefined;
  /** Work at a cavity that belongs to it. */
  readonly cavity?: CavityWork | undefined;
  /** Work at the far end of a lead that goes into a free cavity. */
  readonly far?: CavityWork | undefined;
  /** The wire of a circuit that is added, from where it begins to its other end, mm, and the way that it goes. */
  readonly added?:
    | {
        readonly lengthMm: number;
        readonly wire: InsertWireChoice;
        readonly along: readonly (Stretch & { readonly runId: string })[];
      }
    | undefined;
  /** The one splice of a new lead, and the wire that a lead too short gets on top. */
  readonly lead?: (LeadSite & { readonly terminalTakesMm: number }) | undefined;
  readonly extraMm?: number | undefined;
  /** The run grows: this wire is cut once and its faces lie so far apart on the run as it will be. */
  readonly lengthens?: Lengthening | undefined;
}

/** The decision about one finding, before its place along the harness is known. */
export interface Decision extends DecidedWords, Looked, DecidedWire, DecidedWork {
  readonly findingId: string;
  readonly circuitId: string;
  readonly runId: string;
  readonly electrical: Electrical;
}

/** What one piece of work on a wire mends besides its own finding, and what of the wire it may use. Lengths in mm. */
export interface WorkShare {
  /** Other findings of the circuit that it takes away. */
  readonly takes: readonly Finding[];
  /** Earlier repairs that are cut out with it. */
  readonly cutsOut: readonly EarlierRepair[];
  /** Slack of the circuit between its fixed points, less what other work on it takes. */
  readonly slackMm: number;
  readonly slackKnown: boolean;
  readonly othersTakeMm: number;
  /** The stretch of the wire that is free for its bodies; absent where nothing else is on the wire. */
  readonly within?: Stretch | undefined;
  /** The way by which its whole connector is mended. */
  readonly way?: Way | undefined;
  /** The finding whose work takes this one away. */
  readonly takenBy?: Finding | undefined;
}

/** The share of a finding that is alone on its wire. */
export const aloneOnWire = (finding: Finding): WorkShare => ({
  takes: [],
  cutsOut: [],
  slackMm: finding.slackMm ?? 0,
  slackKnown: finding.slackMm !== undefined,
  othersTakeMm: 0,
});

/** What was found, and what people decided about it so far. */
interface DecideFinding {
  readonly finding: Finding;
  readonly circuit: Circuit;
  /** What its work shares with other work on the same wire. */
  readonly share: WorkShare;
  /** The findings on the same circuit, this one included, and those at a node. */
  readonly siblings: readonly Finding[];
  readonly foundAt: (nodeId: string) => readonly Finding[];
  readonly choice?: Choice | undefined;
  readonly held?: BegunWork | undefined;
  readonly redos: readonly Redo[];
  /**
   * Why two splices are made where one would do: the pair's other wire needs two, or one would lie over another body.
   */
  readonly needsTwo?: 'pair' | 'room' | undefined;
}

/** The harness round it. */
interface DecideHarness {
  readonly run: Run;
  readonly nodes: ReadonlyMap<string, HarnessNode>;
  /** The jacketed cable that its circuit is a core of here. */
  readonly cable?: Cable | undefined;
  readonly circuitsInRun: readonly Circuit[];
  /** All circuits with an end at a node. */
  readonly circuitsAt: (nodeId: string) => readonly Circuit[];
  readonly mappings: readonly MappingCard[];
  /** Where the circuit goes on past the run's ends, for a repair to reach on. */
  readonly beyond?: Beyonds | undefined;
  /** Figures of the run shared by all its circuits. */
  readonly runFacts: RunFacts;
  /** The same figures of any run. */
  readonly factsAlong: (run: Run) => RunFacts;
  /** All runs of the harness. */
  readonly runs: readonly Run[];
  /** The other runs of the circuit's path. */
  readonly elsewhere: readonly { readonly where: string; readonly facts: RunFacts }[];
}

/** The shop: how it works, what it has, what its gate says. */
interface DecideShop {
  readonly practice: Practice;
  readonly catalogue: Catalogue;
  readonly shelf: ReadyShelf;
  readonly gate: Gate;
  readonly asOf?: string | undefined;
  /** Whether somebody allows inserts of another colour, tagged at both ends. */
  readonly otherColours?: boolean | undefined;
}

/** Everything that deciding about one finding looks at. */
export interface DecideInput extends DecideFinding, DecideHarness, DecideShop {}

export interface RunFacts {
  readonly ambientC: number;
  readonly loadedIds: ReadonlySet<string>;
  /** What each of its wires may carry alone, A, by circuit id. */
  readonly aloneA: ReadonlyMap<string, number>;
  readonly bundleMm: number;
  /** Conductor temperatures worked out so far, by wire and load. */
  readonly temperatures: Map<string, number>;
}

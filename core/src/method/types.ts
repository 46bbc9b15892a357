import type { Catalogue, Lack, Part, Tool } from '../catalogue/index.ts';
import type { Stretch } from '../damage/index.ts';
import type { AnyMethod, Family, MethodId, SizedJoint, ToolTask } from '../family/index.ts';
import type { CircuitKind, KeepOut, Zone } from '../harness/index.ts';
import type { Practice } from '../practice/index.ts';
import type { JointWires } from '../sizing/index.ts';
import type { Range } from '../stock/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { Source } from './source.ts';

/** A lead that starts at a connector: at the run's start or its end; a pigtail's is only so long. */
export interface LeadSite {
  readonly atStart: boolean;
  readonly mostMm?: number | undefined;
}

/** What is joined, and what for. */
export interface SiteWires {
  readonly circuitKind: CircuitKind;
  /** It lies in a shield, whatever its kind. */
  readonly inShield?: boolean | undefined;
  readonly duty: 'join' | 'add';
  readonly wire: WireSpec;
  readonly farWire: WireSpec;
  readonly branchWires: readonly WireSpec[];
  readonly insertWire: WireSpec;
  /** Sizes of its series by which the insert is larger than the wire it replaces. */
  readonly insertStepsUp: number;
  /** The main wire must stay whole where a circuit is added. */
  readonly mainUncut?: boolean | undefined;
  /** Largest thing on an end that can be freed, mm; absent when none can. */
  readonly freedEndMm?: number | undefined;
  /** A new lead from a connector with one splice: which end of the run it starts at, and how long it may be, mm. */
  readonly lead?: LeadSite | undefined;
  readonly temporaryUntil?: string | undefined;
}

/** What the place does to a joint. */
interface SitePlace {
  readonly zone: Zone;
  /** Name of a stretch of the run that bends in use; absent when none does. */
  readonly flexing?: string | undefined;
  /** Ambient and own heating by the load, °C. */
  readonly placeC: number;
  /** Conduit bore less bundle at this place, mm; unknown when the conduit is. */
  readonly conduitMarginMm?: number | undefined;
  readonly vapourAired: boolean;
  /** Day against which calibration is read; unknown means calibration dates are taken as they stand. */
  readonly asOf?: string | undefined;
}

/** What of the wire there is for it: positions along the run, mm. */
export interface SiteRoom {
  readonly lost: Stretch;
  readonly slackMm: number;
  readonly slackKnown: boolean;
  readonly keepOuts: readonly KeepOut[];
  /**
   * The stretch of its own wire that is free for its bodies: as far as the next work, cover or earlier repair on it.
   */
  readonly within?: Stretch | undefined;
  /**
   * The same with what lies past the run's ends, where the circuit goes on: for the two splices of an insert, when they
   * find no room else.
   */
  readonly keepOutsBeyond?: (() => readonly KeepOut[]) | undefined;
  /** Free wire beside the loss on which a sleeve can be parked. */
  readonly freeLeftMm: number;
  readonly freeRightMm: number;
  /** Two splices whatever the slack: the pair's other wire needs them. */
  readonly twoRequired: boolean;
}

/** The place and the wire that a method is chosen for. */
export interface Site extends SiteWires, SitePlace, SiteRoom {}

/** What rules ask of a shelf time and again, looked up once. */
export interface ShelfFacts {
  readonly byId: ReadonlyMap<string, Part>;
  /** What the best adhesive sleeve stands, listed or usual, °C. */
  readonly bestSleeveC: number;
  /** Bores that are there and take both ends of a joint as they are. */
  readonly bores: readonly Range[];
}

/** What a rule looks at: one method, sized, at one site. */
export interface MethodCase {
  readonly method: AnyMethod;
  readonly family: Family;
  readonly site: Site;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
  readonly facts: ShelfFacts;
  /** The wires of each joint that is wanted. */
  readonly wires: readonly JointWires[];
  readonly joints: readonly SizedJoint[];
  readonly splices: 1 | 2;
  /**
   * Most free wire on either side, mm; the inserted wire of a two-splice repair is free by itself. Beyond what any
   * sleeve wants it is not told apart.
   */
  readonly freeMm: number;
  readonly tools: readonly Tool[];
  readonly missingTasks: readonly ToolTask[];
  readonly missingParts: readonly Lack[];
  /** Why parts that go before by their size are not taken here. */
  readonly passed: readonly string[];
  /** The best of the soldered that are allowed here; told once all are known. */
  readonly firstOfSoldered?: boolean | undefined;
}

/**
 * `refuse` and `shelf` bar a method: by the rules, or only because something is not there. `require` names what must be
 * done, `warn` what to watch.
 */
export type Verdict = 'refuse' | 'shelf' | 'warn' | 'require' | 'prefer';

/** A rule that has spoken: data for cards, sheets and tests. */
export interface RuleHit {
  readonly ruleId: string;
  readonly verdict: Verdict;
  readonly because: string;
  readonly source: Source;
  /** Whether a person may use the method all the same, with a reason. */
  readonly overridable: boolean;
  /** What would have to change for the refusal to fall. */
  readonly allowedIf?: string | undefined;
  /** The wire itself is what bars it. */
  readonly isOfWire?: boolean | undefined;
  /** Parts of another rating or size with which the refusal would fall, where none that is listed will do. */
  readonly orders?: readonly Lack[] | undefined;
}

/** A rule that bars, warns or requires. Says nothing where it does not apply. */
export interface Rule {
  readonly id: string;
  readonly subject: string;
  readonly verdict: Exclude<Verdict, 'prefer'>;
  readonly source: Source;
  readonly overridable: boolean;
  readonly allowedIf?: string;
  /**
   * What it says is of the wire itself: it is said before what the part or the place lacks, and nothing done about
   * those helps.
   */
  readonly isOfWire?: boolean;
  /** The sentence, figures filled in, where the rule applies. */
  readonly speaks: (where: MethodCase) => string | undefined;
  /** Where it speaks: the parts with which it would not. */
  readonly orders?: (where: MethodCase) => readonly Lack[];
}

/** A rule that orders the allowed: the lower penalty goes first; rules are compared in their order. */
export interface Preference {
  readonly id: string;
  readonly subject: string;
  readonly source: Source;
  readonly penalty: (where: MethodCase) => number;
  /** Why the one with the lower penalty goes before the other. */
  readonly because: (better: MethodCase, worse: MethodCase) => string;
  /** What the one with the higher penalty has and lacks against the other, where that says more. */
  readonly against?: (better: MethodCase, worse: MethodCase) => string | undefined;
}

export type MethodStatus = 'allowed' | 'shelf' | 'refused';

/** One line of the ranking. */
export interface RankedMethod {
  readonly methodId: MethodId;
  readonly name: string;
  readonly status: MethodStatus;
  readonly splices: 1 | 2;
  /** One joint, or left and right of an insert; none when nothing holds the copper. */
  readonly joints: readonly SizedJoint[];
  readonly hits: readonly RuleHit[];
  /** The sentence that says why it stands where it stands. */
  readonly because: string;
  readonly toolNames: readonly string[];
  /** The tool that closes its barrel or clip; none of what is soldered. */
  readonly crimpTool?: Tool | undefined;
  /** Parts and tools that are not there. */
  readonly lacks: readonly Lack[];
  /** Why parts that go before its own by their size are not taken here, each by its name. */
  readonly passed: readonly string[];
  readonly usableWithReason: boolean;
  /** It would go first if only everything were on the shelf. */
  readonly firstIfStocked: boolean;
}

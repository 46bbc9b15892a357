import type {
  Approach,
  CavityWork,
  Caution,
  Choice,
  CoverId,
  DecideInput,
  Decision,
  Electrical,
  Gate,
  GateState,
  Held,
  RankedCover,
  RankedWay,
  Redo,
  Way,
  WorkShare,
} from '../approach/index.ts';
import type { BenchStep } from '../step/index.ts';
import type { GlyphName, MethodId, SizedJoint } from '../family/index.ts';
import type { EarlierRepair, Finding, Stretch } from '../damage/index.ts';
import type { MappingCard } from '../mapping/index.ts';
import type { Circuit, Growth, Harness, KeepOut } from '../harness/index.ts';
import type { ElectricalCheck } from './electricalTypes.ts';
import type { Kit } from '../kit/index.ts';
import type {
  BrokenRule,
  Closing,
  LaidOut,
  LayoutWishes,
  PairLayout,
  Pin,
  ProfileStretch,
  SpliceSide,
} from '../layout/index.ts';
import type { RankedMethod } from '../method/index.ts';
import type { Check } from '../prove/index.ts';
import type { InsertWireChoice } from '../sizing/index.ts';

/** The machine that the harness belongs to. */
export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly systemVoltageV: number;
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
  /** What people decided about the layout. */
  readonly layout?: LayoutWishes | undefined;
  /** What begun work is made by. */
  readonly held?: readonly Held[] | undefined;
  /** Mapping cards of replaced connectors and pigtails. */
  readonly mappings?: readonly MappingCard[] | undefined;
}

/** How the shield is joined beside a splice of its core. */
export interface ShieldSplice {
  readonly methodName: string;
  readonly joint: SizedJoint;
}

/** A splice as it is to be made. Lengths in mm, positions in mm from the start of the run on which it lies: mostly its finding's, else another one that its circuit goes on in. */
export interface SplicePlan {
  readonly id: string;
  readonly findingId: string;
  readonly circuitId: string;
  readonly runId: string;
  readonly side: SpliceSide;
  readonly make: number;
  readonly methodId: MethodId;
  readonly methodName: string;
  /** Name of its family's drawing. */
  readonly glyph: GlyphName;
  readonly joint: SizedJoint;
  /** The shield's own splice beside it. */
  readonly shield?: ShieldSplice | undefined;
  readonly centreMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly pinned: boolean;
  /** Where the old wire is cut for it on its run; of a single splice the left cut. */
  readonly cutMm: number;
  /** Where its inserted wire leaves its run, when the other splice lies on another run. */
  readonly leavesAtMm?: number | undefined;
  readonly parkSide: 'left' | 'right' | 'insert' | 'clamp';
  /** Force to tug with in service, and the minimum of a sample; N. */
  readonly tugN: number;
  readonly pullMinimumN: number;
  /** What each side loses when it is cut out before and after its sleeve has shrunk. */
  readonly redoLossMm: { readonly bare: number; readonly shrunk: number };
  /** Times it can be made again before one splice becomes two; none for the splices of an insert. */
  readonly redosLeft?: number | undefined;
  readonly steps: readonly BenchStep[];
  readonly checks: readonly Check[];
}

/** A cover as it is to be made. */
export interface CoverPlan {
  readonly id: string;
  readonly findingId: string;
  readonly coverId: CoverId;
  readonly name: string;
  readonly partName: string;
  readonly lengthMm: number;
  readonly atMm: number;
  /** What of the wire lies under it, from edge to edge, and how thick it is; mm. */
  readonly covers: Stretch;
  readonly diameterMm: number;
  readonly make: number;
  readonly steps: readonly BenchStep[];
  readonly checks: readonly Check[];
}

/** Work at a cavity as it is to be done. */
export interface CavityPlan {
  readonly id: string;
  readonly findingId: string;
  readonly name: string;
  readonly work: CavityWork;
  readonly atMm: number;
  readonly make: number;
  readonly steps: readonly BenchStep[];
  readonly checks: readonly Check[];
}

export interface InsertPlan {
  readonly lengthMm: number;
  readonly wire: InsertWireChoice;
}

/** A connector that is replaced whole: one piece of work for all the findings at it. */
export interface PieceOfWork {
  readonly id: string;
  readonly nodeId: string;
  readonly nodeName: string;
  readonly way: Way;
  /** In the order of the work. */
  readonly findingIds: readonly string[];
}

/** What the plan says about one finding. */
export interface FindingPlan {
  readonly findingId: string;
  readonly circuitId: string;
  readonly runId: string;
  readonly approach: Approach;
  readonly headline: string;
  readonly because: readonly string[];
  readonly asks?: string | undefined;
  readonly warnings: readonly string[];
  readonly ranked: readonly RankedMethod[];
  readonly covers: readonly RankedCover[];
  readonly chosen?: MethodId | CoverId | Way | undefined;
  readonly chosenBy?: Choice | undefined;
  readonly lost: Stretch;
  /** Findings that are mended by the same work; and the one whose work mends this one. */
  readonly takes: readonly string[];
  readonly takenBy?: string | undefined;
  /** Earlier repairs that are cut out with it. */
  readonly cutsOut: readonly EarlierRepair[];
  readonly slackMm: number;
  /** Slack that is still there once this repair is made; mm. */
  readonly slackLeftMm: number;
  /** Remaining ends on both sides of the loss, as the finding's run counts: below 0 and above its length where a repair reaches past its ends. */
  readonly x1Mm: number;
  readonly x2Mm: number;
  readonly insert?: InsertPlan | undefined;
  /** New drain beside the insert of a shielded circuit. */
  readonly drain?: InsertPlan | undefined;
  /** Why two splices are made where one would reach: for the pair's other wire, or because one would lie over another body. */
  readonly needsTwo?: DecideInput['needsTwo'];
  readonly splices: readonly SplicePlan[];
  readonly cover?: CoverPlan | undefined;
  readonly cavity?: CavityPlan | undefined;
  readonly ways: readonly RankedWay[];
  /** The inserted wire is a new lead from a connector. */
  readonly isLead: boolean;
  readonly electrical: Electrical;
  readonly check: ElectricalCheck;
}

/** One run with its splices in place. */
export interface RunPlan {
  readonly runId: string;
  /** As it will be: longer than it was where a lead on it is lengthened. */
  readonly lengthMm: number;
  readonly growths?: readonly Growth[] | undefined;
  /** Clearances included, as far as they lie on the run. */
  readonly keepOuts: readonly KeepOut[];
  readonly profile: readonly ProfileStretch[];
  readonly peakMm: number;
  readonly restMm: number;
  readonly lumpMm: number;
  readonly conduitMm?: number | undefined;
  readonly opened?: Stretch | undefined;
  readonly broken: readonly BrokenRule[];
  /** Twisted pairs of which both wires are spliced here. */
  readonly pairs: readonly PairLayout[];
  readonly closing: Closing;
  /** What the layout reaches, level by level, and how far that is proven. */
  readonly reached: Pick<LaidOut, 'objective' | 'bound' | 'open'>;
}

export interface PlanTotals {
  readonly findings: number;
  readonly decided: number;
  readonly splices: number;
  readonly covers: number;
  readonly openedMm: number;
  readonly insertedMm: number;
  readonly slackLeftMm: number;
}

/** The whole plan: a pure function of job, practice and catalogue. */
export interface Plan {
  readonly format: 'mendum-plan';
  readonly version: 1;
  readonly jobId: string;
  readonly practice: { readonly id: string; readonly version: number; readonly name: string };
  readonly catalogue: { readonly id: string; readonly version: number; readonly name: string };
  readonly gate: GateState;
  readonly cautions: readonly Caution[];
  readonly findings: readonly FindingPlan[];
  /** Connectors that are replaced whole. */
  readonly pieces: readonly PieceOfWork[];
  readonly runs: readonly RunPlan[];
  readonly kit: Kit;
  readonly totals: PlanTotals;
}

/** Decision and circuit, as they pass between the steps of planning. */
export interface Decided {
  readonly decision: Decision;
  readonly circuit: Circuit;
  readonly finding: Finding;
  /** What its work shares with other work on the same wire. */
  readonly share: WorkShare;
  /** Why it was decided with two splices where one would reach. */
  readonly needsTwo?: DecideInput['needsTwo'];
}

import type {
  Approach,
  Ask,
  Caution,
  Choice,
  CoverId,
  DecideInput,
  Decision,
  Electrical,
  GateState,
  RankedCover,
  RankedWay,
  Way,
  WorkShare,
} from '../approach/index.ts';
import type { EarlierRepair, Finding, Stretch } from '../damage/index.ts';
import type { MethodId } from '../family/index.ts';
import type { Circuit, Growth, KeepOut } from '../harness/index.ts';
import type { Kit } from '../kit/index.ts';
import type { BrokenRule, Closing, LaidOut, LyingBody, PairLayout, ProfileStretch } from '../layout/index.ts';
import type { RankedMethod } from '../method/index.ts';
import type { InsertWireChoice } from '../sizing/index.ts';
import type { LayoutsToChoose } from './layoutTypes.ts';
import type { ElectricalCheck } from './electricalTypes.ts';
import type { CavityPlan, CoverPlan, SplicePlan } from './made.ts';

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
  /** How far from the connector its cores are spliced, mm; where it ends a cable. */
  readonly reachMm?: number | undefined;
  /** In the order of the work. */
  readonly findingIds: readonly string[];
}

/** What is done about a finding, and why: what people read. */
interface FindingVerdict {
  readonly approach: Approach;
  readonly headline: string;
  readonly because: readonly string[];
  readonly asks: readonly Ask[];
  readonly warnings: readonly string[];
  /** Why parts that go before the ones taken are refused here, each by its name. */
  readonly passed: readonly string[];
  /** The day by which a temporary repair is made anew; absent for a permanent one. */
  readonly temporaryUntil?: string | undefined;
  /**
   * Why two splices are made where one would reach: for the pair's other wire, or because one would lie over another
   * body.
   */
  readonly needsTwo?: DecideInput['needsTwo'];
}

/** What else could be done, each judged, and who chose. */
interface FindingChoices {
  readonly ranked: readonly RankedMethod[];
  readonly covers: readonly RankedCover[];
  readonly ways: readonly RankedWay[];
  readonly chosen?: MethodId | CoverId | Way | undefined;
  readonly chosenBy?: Choice | undefined;
}

/** What it takes of its wire, and what goes with it; mm. */
interface FindingWire {
  readonly lost: Stretch;
  /** Findings that are mended by the same work; and the one whose work mends this one. */
  readonly takes: readonly string[];
  readonly takenBy?: string | undefined;
  /** Earlier repairs that are cut out with it. */
  readonly cutsOut: readonly EarlierRepair[];
  readonly slackMm: number;
  /** Slack that is still there once this repair is made. */
  readonly slackLeftMm: number;
  /**
   * Remaining ends on both sides of the loss, as the finding's run counts: below 0 and above its length where a repair
   * reaches past its ends.
   */
  readonly x1Mm: number;
  readonly x2Mm: number;
}

/** What is made for it. */
interface FindingMade {
  readonly splices: readonly SplicePlan[];
  readonly cover?: CoverPlan | undefined;
  readonly cavity?: CavityPlan | undefined;
  /** Work at the far end of a lead that goes into a free cavity. */
  readonly far?: CavityPlan | undefined;
  readonly insert?: InsertPlan | undefined;
  /** The wire of a circuit that is added, to its other end, and the way that it goes. */
  readonly added?: (InsertPlan & { readonly along: readonly (Stretch & { readonly runId: string })[] }) | undefined;
  /** New drain beside the insert of a shielded circuit. */
  readonly drain?: InsertPlan | undefined;
  /** The inserted wire is a new lead from a connector. */
  readonly isLead: boolean;
}

/** What the plan says about one finding. */
export interface FindingPlan extends FindingVerdict, FindingChoices, FindingWire, FindingMade {
  readonly findingId: string;
  readonly circuitId: string;
  readonly runId: string;
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
  /** What is opened of it: without gaps over 150 mm in which nothing lies. */
  readonly openedParts: readonly Stretch[];
  /** The layouts that there are to choose from, and the one that is laid out; where splices are made on the run. */
  readonly layouts?: LayoutsToChoose | undefined;
  /** What is on its wires whatever the layout: earlier repairs that stay, and covers of this job. */
  readonly lying?: readonly LyingBody[] | undefined;
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

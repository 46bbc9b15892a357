import type { CavityWork, CoverId } from '../approach/index.ts';
import type { Stretch } from '../damage/index.ts';
import type { GlyphName, MethodId, SizedJoint } from '../family/index.ts';
import type { SpliceSide } from '../layout/index.ts';
import type { Check } from '../prove/index.ts';
import type { BenchStep } from '../step/index.ts';

/** How the shield is joined beside a splice of its core. */
interface ShieldSplice {
  readonly methodName: string;
  readonly joint: SizedJoint;
}

/** What every piece of bench work has: whose it is, which time it is made, how it is made and proved. */
interface BenchWork {
  readonly id: string;
  readonly findingId: string;
  readonly make: number;
  readonly steps: readonly BenchStep[];
  readonly checks: readonly Check[];
}

/**
 * Where a splice lies: mostly on its finding's run, else on another one that its circuit goes on in; mm from that run's
 * start.
 */
interface SplicePlace {
  readonly runId: string;
  readonly side: SpliceSide;
  readonly centreMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly pinned: boolean;
  /** Where the old wire is cut for it on its run; of a single splice the left cut. */
  readonly cutMm: number;
  /** Where its inserted wire leaves its run, when the other splice lies on another run. */
  readonly leavesAtMm?: number | undefined;
  readonly parkSide: 'left' | 'right' | 'insert' | 'clamp';
}

/** How a splice is joined. */
interface SpliceJoin {
  readonly methodId: MethodId;
  readonly methodName: string;
  /** Name of its family's drawing. */
  readonly glyph: GlyphName;
  readonly joint: SizedJoint;
  /** Tool and nest that close its two ends, in words; absent where it is not crimped. */
  readonly closedBy?: { readonly left: string; readonly right: string } | undefined;
  /** The shield's own splice beside it. */
  readonly shield?: ShieldSplice | undefined;
}

/** What pulls it, N, and how often it can be made again. */
interface SpliceLimits {
  /** Force to tug with in service, and the minimum of a sample. */
  readonly tugN: number;
  readonly pullMinimumN: number;
  /** Times it can be made again before one splice becomes two; none for the splices of an insert. */
  readonly redosLeft?: number | undefined;
}

/** A splice as it is to be made. */
export interface SplicePlan extends BenchWork, SplicePlace, SpliceJoin, SpliceLimits {
  readonly circuitId: string;
}

/** A cover as it is to be made. */
export interface CoverPlan extends BenchWork {
  readonly coverId: CoverId;
  readonly name: string;
  readonly partName: string;
  readonly lengthMm: number;
  readonly atMm: number;
  /** What of the wire lies under it, from edge to edge, and how thick it is; mm. */
  readonly covers: Stretch;
  readonly diameterMm: number;
}

/** Work at a cavity as it is to be done. */
export interface CavityPlan extends BenchWork {
  readonly name: string;
  readonly work: CavityWork;
  /** The run that it is at, where that is not its finding's. */
  readonly runId?: string | undefined;
  readonly atMm: number;
}

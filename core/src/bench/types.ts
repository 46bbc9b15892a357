import type { JoinWork, SizedJoint } from '../family/index.ts';
import type { SpliceSide } from '../layout/index.ts';

/** Where the wire is cut, and what is cut for it; mm from the run's start. */
interface CutWork {
  readonly side: SpliceSide;
  readonly cutLeftMm: number;
  readonly cutRightMm: number;
  readonly fromName: string;
  readonly insertMm?: number | undefined;
  readonly insertWords?: string | undefined;
  /** The inserted wire is a new lead from a connector. */
  readonly isLead: boolean;
}

/** Where its sleeve waits. */
interface ParkWork {
  readonly parkSide: 'left' | 'right' | 'insert' | 'clamp';
  readonly parkAtMm: number;
}

/** What closes it: the tug, the pair twisted again, the shield joined beside it. */
export interface CloseWork {
  readonly tugN: number;
  readonly twistBack: boolean;
  /** Most length of a pair that may lie untwisted, mm. */
  readonly untwistedAtMostMm: number;
  /** How the shield is joined beside it, of a shielded circuit. */
  readonly shield?: { readonly methodName: string; readonly joint: SizedJoint } | undefined;
}

/** A splice with all that its steps mention. */
export interface SpliceToMake extends JoinWork, CutWork, ParkWork, CloseWork {
  readonly spliceId: string;
  readonly make: number;
  /** Tool and nest that close it, by end; absent for what is soldered. */
  readonly crimpedBy?: { readonly left: string; readonly right: string } | undefined;
  /** Size of the notch that strips it: the thinnest of its wires. */
  readonly notch: string;
}

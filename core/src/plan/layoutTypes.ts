import type { Stretch } from '../damage/index.ts';
import type { Asked, LaidOut } from '../layout/index.ts';
import type { LayoutKind } from '../practice/index.ts';

/** One of the layouts to choose from, with what it takes. Lengths in mm. */
export interface LayoutOffer extends Asked {
  /** From the first body, loss or cover to the last. */
  readonly opened?: Stretch | undefined;
  /** Of it what is opened, without gaps over 150 in which nothing lies. */
  readonly openedMm: number;
  /** New wire; unknown where it ends on another run. */
  readonly insertedMm?: number | undefined;
  readonly splices: number;
  readonly peakMm: number;
  readonly conduitMm?: number | undefined;
  /** At the bench: splices, inserts, unwrapping and taping; covers and cavities take the same in all. */
  readonly minutes: number;
  readonly bodies: readonly Stretch[];
  readonly reached: Pick<LaidOut, 'objective' | 'bound' | 'open'>;
}

/** A layout that is not possible, and why. */
export interface NoOffer extends Asked {
  readonly why: string;
  /** Where a search did not find one: that it is open whether there is any; absent where it is certain. */
  readonly open?: LaidOut['open'];
}

/** The layouts of a run to choose from, Wide, Even and Short, and the one that is laid out. */
export interface LayoutsToChoose {
  readonly offers: readonly (LayoutOffer | NoOffer)[];
  /** What is lost and covered, which is opened in all of them. */
  readonly lost: readonly Stretch[];
  readonly chosen: Asked;
  readonly by: 'person' | 'practice' | 'proposal';
  /** Which one is proposed, and why. */
  readonly proposed: LayoutKind;
  readonly because: string;
  /** Splices are kept where somebody put or marked them. */
  readonly isKept: boolean;
}

export const isOffered = (offer: LayoutOffer | NoOffer): offer is LayoutOffer => !('why' in offer);

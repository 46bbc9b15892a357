import type { Clearances } from '../harness/index.ts';
import { OUR_HABITS, type Habits } from './habits.ts';

export const SCHOOLS = ['crimpFirst', 'crimpOnly', 'benchSolder'] as const;
export type School = (typeof SCHOOLS)[number];

/** Figures that a shop may set for itself; all lengths in mm. */
export interface PracticeFigures {
  readonly clearMm: Clearances;
  /** Preferred distance of a body from a connector, room to work. */
  readonly preferFromConnectorMm: number;
  readonly betweenBodiesMm: number;
  /** Sleeve over jacket on each side of the joint; the short one is for tight places, never less. */
  readonly overlapMm: number;
  readonly overlapShortMm: number;
  /** A sleeve's supplied bore is at least this many times what it slides over. */
  readonly slideFactor: number;
  /** A sleeve's recovered bore is at most this share of what it grips. */
  readonly gripShare: number;
  /** Near end of a parked sleeve from the joint. */
  readonly parkFromCrimpMm: number;
  readonly parkFromSolderMm: number;
  /** Conduit bore less bundle under this is tight. */
  readonly tightMarginMm: number;
  /** Jacket gone over more than this is cut out; likewise twice within the second figure. */
  readonly coverAtMostMm: number;
  readonly coverTwiceWithinMm: number;
  /** Most length of a pair that may lie untwisted at a splice. */
  readonly untwistedAtMostMm: number;
  /** Wire of a lead that lies inside its housing. */
  readonly insideHousingMm: number;
}

/** A shop's way of working: one school where practitioners disagree, and its figures. */
export interface Practice {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly school: School;
  /** Both sides of the argument in a sentence each, ours first. */
  readonly because: string;
  readonly otherSide: string;
  readonly figures: PracticeFigures;
  /** Ids of the rules that this shop has switched off; what no practice may lift stays whatever stands here. */
  readonly off: readonly string[];
  /** The side taken in each question about the handiwork. */
  readonly habits: Habits;
  readonly signing?: SigningRules | undefined;
  /** The layout that is taken unless somebody takes another one; none: it is proposed by what each would open. */
  readonly layout?: LayoutKind | undefined;
}

/**
 * Three layouts to choose from. Wide: bodies as far apart as makers print. Even: one body over a place, a little apart,
 * the least time at the bench. Short: the shortest opened stretch, two bodies over one place where the conduit has room.
 */
export const LAYOUT_KINDS = ['wide', 'even', 'short'] as const;
export type LayoutKind = (typeof LAYOUT_KINDS)[number];

/** What a practice asks of whoever signs; it holds where people sign in. */
export interface SigningRules {
  /** Nobody signs what they ticked or read themselves. */
  readonly another?: boolean | undefined;
  /** Airbag circuits, high voltage and choices against the ranking are signed by a lead. */
  readonly lead?: boolean | undefined;
}

export const DEFAULT_FIGURES: PracticeFigures = {
  clearMm: { connector: 40, branch: 40, grommet: 40, clip: 25 },
  preferFromConnectorMm: 75,
  betweenBodiesMm: 40,
  overlapMm: 12,
  overlapShortMm: 6,
  slideFactor: 1.1,
  gripShare: 0.9,
  parkFromCrimpMm: 30,
  parkFromSolderMm: 100,
  tightMarginMm: 2,
  coverAtMostMm: 50,
  coverTwiceWithinMm: 100,
  untwistedAtMostMm: 50,
  insideHousingMm: 15,
};

const ready = (id: School, name: string, because: string, otherSide: string): Practice => ({
  id,
  version: 1,
  name,
  school: id,
  because,
  otherSide,
  figures: DEFAULT_FIGURES,
  off: [],
  habits: OUR_HABITS,
});

/** Ours by default. */
export const CRIMP_FIRST = ready(
  'crimpFirst',
  'Crimp first',
  'A crimp is a cold weld that stays flexible, and it is what makers do. Solder cracks under vibration and corrodes, so it is allowed only where the whole joint is still and dry.',
  'Solder is slim, never works loose and conducts best, where nothing moves.',
);

export const CRIMP_ONLY = ready(
  'crimpOnly',
  'Crimp only',
  'One way of joining everywhere: one set of tools to keep in calibration and one inspection to learn.',
  'A still, dry box gains nothing from it and loses the slimmer joint.',
);

export const BENCH_SOLDER = ready(
  'benchSolder',
  'Bench solder',
  'Stationary equipment at the bench: a wrapped and soldered joint is the strongest of the soldered, slim and lasting, where nothing shakes.',
  'Too many variables for a moving machine: wicked solder makes a stiff end that breaks. All refusals for shaking runs stay.',
);

export const READY_PRACTICES: readonly Practice[] = [CRIMP_FIRST, CRIMP_ONLY, BENCH_SOLDER];

/** A ready practice by its id; none when there is no such practice. */
export const practiceById = (id: string): Practice | undefined =>
  READY_PRACTICES.find((practice) => practice.id === id);

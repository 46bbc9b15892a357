import type { Stretch } from '../damage/index.ts';
import type { BodyOn } from './profile.ts';
import type { LyingBody, PlacedSplice, RunToLayOut } from './types.ts';

/** A length under this is no length: floating dust on touching edges, mm. */
const TOUCH_MM = 1e-6;

/** A body where it lies, as the bundle's thickness and what lies beside it are counted. */
export interface Thick extends Stretch, BodyOn {
  /** A splice of the layout; what is on the wire already is not. */
  readonly isNew: boolean;
  /** Counted for the thickness alone. */
  readonly isCover: boolean;
}

export const thickSplice = ({
  circuitId,
  joint,
  fromMm,
  toMm,
}: Pick<PlacedSplice, 'circuitId' | 'joint' | 'fromMm' | 'toMm'>): Thick => ({
  circuitId,
  bodyMm: joint.bodyDiameterMm,
  fromMm,
  toMm,
  isNew: true,
  isCover: false,
});

export const thickLying = ({ circuitId, diameterMm, kind, fromMm, toMm }: LyingBody): Thick => ({
  circuitId,
  bodyMm: diameterMm,
  fromMm,
  toMm,
  isNew: false,
  isCover: kind === 'cover',
});

/** Splices that are on the wires already. */
export const lyingSplices = ({ lying = [] }: RunToLayOut): readonly LyingBody[] =>
  lying.filter(({ kind }) => kind === 'splice');

/** Whether two stretches lie over each other; those that touch do not. */
export const overlap = (a: Stretch, b: Stretch): boolean =>
  a.fromMm < b.toMm - TOUCH_MM && b.fromMm < a.toMm - TOUCH_MM;

/**
 * What lies over one cross-section wherever a body begins: every set of bodies that lie over each other is part of one of
 * these.
 */
export function sectionsOf<T extends Stretch>(bodies: readonly T[]): { readonly at: T; readonly here: readonly T[] }[] {
  let reaching: T[] = [];
  return [...bodies]
    .sort((a, b) => a.fromMm - b.fromMm)
    .map((at) => {
      reaching = [...reaching.filter((other) => other.toMm > at.fromMm + TOUCH_MM), at];
      return { at, here: reaching };
    });
}

/** The covers of a run over a stretch, as sets that lie over one place together: none, where none lies. */
const coverSets = ({ lying = [] }: RunToLayOut): { readonly over: Stretch; readonly here: readonly LyingBody[] }[] => {
  const covers = lying.filter(({ kind }) => kind === 'cover');
  const edges = [...new Set(covers.flatMap(({ fromMm, toMm }) => [fromMm, toMm]))].sort((a, b) => a - b);
  return edges.slice(1).flatMap((toMm, index) => {
    const over = { fromMm: edges[index] ?? toMm, toMm };
    const here = covers.filter((cover) => overlap(cover, over));
    return here.length > 0 ? [{ over, here }] : [];
  });
};

/** Where a body of a circuit would make the bundle thicker than it may be, for what is covered there. */
export const tooThickAt = (
  run: RunToLayOut,
  body: BodyOn,
  atMostMm: number,
  diameterMm: (bodies: readonly BodyOn[]) => number,
): Stretch[] =>
  coverSets(run).flatMap(({ over, here }) =>
    diameterMm([...here.map(thickLying), body]) > atMostMm + TOUCH_MM ? [over] : [],
  );

/** How thick the bundle would be with a body over each place that is covered. */
export const thicknessesOver = (
  run: RunToLayOut,
  body: BodyOn,
  diameterMm: (bodies: readonly BodyOn[]) => number,
): number[] => coverSets(run).map(({ here }) => diameterMm([...here.map(thickLying), body]));

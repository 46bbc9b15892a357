import type { LayoutKind } from '../practice/index.ts';

/** How far apart bodies of an even layout lie at least, unless somebody asks for another distance, mm. */
export const EVEN_APART_MM = 10;
/** Without a known conduit, how thick two bodies over one place may make a bundle: times its greatest bare diameter. */
export const TWO_AT_MOST_TIMES = 1.25;

/** Which layout is asked of a run, an even one with its distance where not as usual, mm. */
export interface Asked {
  readonly kind: LayoutKind;
  readonly apartMm?: number | undefined;
}

type OfKind = Partial<Asked>;

export const kindOf = ({ kind = 'wide' }: OfKind): LayoutKind => kind;

/** How far bodies have to lie apart, mm: nothing in Wide, where distance is what is searched; touching is allowed in Short. */
export const apartOf = ({ kind, apartMm = EVEN_APART_MM }: OfKind): number => (kind === 'even' ? apartMm : 0);

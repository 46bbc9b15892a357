import type { Reach } from '../sizing/index.ts';

/** How one end of a joint is prepared. */
export interface EndPrep {
  readonly stripMm: number;
  readonly folded: boolean;
}

/** What keeps water off a joint. */
export type Seal =
  | { readonly kind: 'builtIn' }
  | {
      readonly kind: 'sleeve';
      readonly partId: string;
      readonly name: string;
      readonly suppliedIdMm: number;
      readonly recoveredIdMm: number;
      readonly cutMm: number;
      readonly passesMm: number;
      readonly gripsMm: number;
      /** Glue inside; a single wall has none and seals only where it is dry. */
      readonly adhesive: boolean;
      readonly buildUp?:
        | {
            readonly partId: string;
            readonly name: string;
            readonly cutMm: number;
            readonly side: 'left' | 'right' | 'both';
          }
        | undefined;
    }
  | { readonly kind: 'wrap'; readonly partId: string; readonly name: string; readonly lengthMm: number }
  | { readonly kind: 'none' };

/** Something with a temperature limit, °C: a part, or the joint itself where no other part would stand more. */
export interface Rated {
  readonly name: string;
  readonly ratedC: number;
  readonly partId?: string | undefined;
}
/** A part's own limit. */
export const ratedPart = ({
  id,
  name,
  ratedC,
}: {
  readonly id: string;
  readonly name: string;
  readonly ratedC: number;
}): Rated => ({
  name,
  ratedC,
  partId: id,
});

/** One joint by one method, with every figure that is needed to make it. Lengths and diameters in mm. */
export interface SizedJoint {
  readonly methodId: string;
  readonly partId: string;
  readonly partName: string;
  readonly fitsWords: string;
  /** Upper limit of what holds the copper, mm². */
  readonly upperLimitMm2: number;
  /** How the wires lie in it, where that is not one from each side. */
  readonly sides?: string | undefined;
  readonly reach: Reach;
  readonly left: EndPrep;
  readonly right: EndPrep;
  /** The joint itself, and the whole body with its seal. */
  readonly jointLengthMm: number;
  readonly bodyLengthMm: number;
  readonly bodyDiameterMm: number;
  /** Crimp places from the barrel's ends; none for soldered joints. */
  readonly crimpAtMm?: number | undefined;
  readonly seal: Seal;
  /** Everything in it that has a temperature limit. */
  readonly rated: readonly Rated[];
  readonly usesPartIds: readonly string[];
  readonly foldMissing: boolean;
}

import type { WireStock } from '../stock/index.ts';
import {
  areaMm2,
  isAluminium,
  isSmaller,
  nextSizeThatWouldDo,
  ratedC,
  sizeInWords,
  type WireSpec,
} from '../wire/index.ts';

/** The wire to insert and where it comes from. */
export interface InsertWireChoice {
  readonly wire: WireSpec;
  readonly stockId?: string | undefined;
  readonly colourDiffers: boolean;
  readonly larger: boolean;
  /** Why the wire that was asked for cannot be used, with the size that would do. */
  readonly refusedBecause?: string | undefined;
}

const STRANDED = { kind: 'stranded' } as const;

const sameColour = (a: WireSpec, b: WireSpec): boolean =>
  a.colour.base === b.colour.base && a.colour.stripe === b.colour.stripe;

/**
 * The wire for an insert: the one asked for unless it is smaller or cooler than the wire it replaces; else from the
 * wire on hand the same size in the same colour, with leave the same size in another colour, one step larger in the
 * same colour; else the original's own, to be found or ordered. Never smaller, never solid, never another colour
 * without leave.
 * @param placeC ambient and own heating, which the jacket must stand
 * @param lengthMm that must be on hand in one piece
 * @param otherColours whether somebody allows another colour, tagged at both ends
 */
export function chooseInsertWire(
  old: WireSpec,
  stock: readonly WireStock[],
  placeC: number,
  lengthMm: number,
  { asked, otherColours = false }: { readonly asked?: WireSpec | undefined; readonly otherColours?: boolean } = {},
): InsertWireChoice {
  if (asked) {
    const refused = whyRefused(asked, old, placeC);
    if (!refused)
      return {
        wire: asked,
        colourDiffers: !sameColour(asked, old),
        larger: areaMm2(asked.size) > 1.05 * areaMm2(old.size),
      };
    return { ...chooseInsertWire(old, stock, placeC, lengthMm, { otherColours }), refusedBecause: refused };
  }
  const area = areaMm2(old.size);
  const step = nextStepMm2(old);
  const fitting = stock
    .filter((item) => item.lengthMm >= lengthMm && whyRefused(item.wire, old, placeC) === undefined)
    .filter((item) => areaMm2(item.wire.size) <= step * 1.05 && (otherColours || sameColour(item.wire, old)))
    .map((item) => {
      const larger = areaMm2(item.wire.size) > 1.05 * area;
      return { item, larger, colourDiffers: !sameColour(item.wire, old) };
    })
    .sort(
      (a, b) =>
        Number(a.larger) - Number(b.larger) ||
        Number(a.colourDiffers) - Number(b.colourDiffers) ||
        a.item.id.localeCompare(b.item.id),
    );
  const [best] = fitting;
  if (!best) return { wire: { ...old, conductor: STRANDED }, colourDiffers: false, larger: false };
  return { wire: best.item.wire, stockId: best.item.id, colourDiffers: best.colourDiffers, larger: best.larger };
}

/** Largest area counted as "one size step larger", mm²: about two thirds more copper. */
const nextStepMm2 = (old: WireSpec): number => areaMm2(old.size) * 1.67;

function whyRefused(next: WireSpec, old: WireSpec, placeC: number): string | undefined {
  if (isSmaller(next.size, old.size)) {
    const would = nextSizeThatWouldDo(next.size, old.size);
    const remedy = would ? `Take ${sizeInWords(would)} or more.` : `No size of that series would do.`;
    return `${sizeInWords(next.size)} is smaller than the ${sizeInWords(old.size)} that it would replace. ${remedy}`;
  }
  if (isAluminium(next) !== isAluminium(old))
    return 'Copper and aluminium are never joined by what is made for copper.';
  if (next.conductor.kind === 'solid')
    return 'Inserted wire is stranded, whatever it replaces: solid wire breaks at its splices.';
  if (ratedC(next) < placeC)
    return `Its jacket is rated ${ratedC(next)} °C and the place can reach ${Math.round(placeC)} °C.`;
  return undefined;
}

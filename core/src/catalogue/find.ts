import { GENERIC_PARTS } from './kinds.ts';
import type { Catalogue, Part } from './types.ts';

/** A part from what is there, else from what is listed, else from what exists. */
export function findPart<T extends Part>(
  catalogue: Catalogue,
  pick: (parts: readonly Part[]) => T | undefined,
): { readonly part: T; readonly onShelf: boolean } | undefined {
  const stocked = pick(catalogue.parts.filter((part) => part.quantity > 0));
  if (stocked) return { part: stocked, onShelf: true };
  const known = pick(catalogue.parts) ?? pick(GENERIC_PARTS);
  return known && { part: known, onShelf: false };
}

/** Of parts that serve alike the one of which there is most; of equals the id decides, never the line on the shelf. */
export const mostOf = <T extends Part>(parts: readonly T[]): T | undefined =>
  [...parts].sort((a, b) => b.quantity - a.quantity || (a.id < b.id ? -1 : 1))[0];

/**
 * A part that stands a place: from what is there, else from what is listed, else from what exists; only where none stands it, one that does
 * not, so that it can be refused by name.
 * @param fits the parts that will do by size, best first
 * @param placeC ambient and own heating, °C
 */
export function findStanding<T extends Part>(
  catalogue: Catalogue,
  placeC: number,
  fits: (parts: readonly Part[]) => readonly T[],
): { readonly part: T; readonly onShelf: boolean } | undefined {
  const standing = findPart(catalogue, (parts) => fits(parts).find((part) => part.ratedC >= placeC));
  return standing ?? findPart(catalogue, (parts) => fits(parts)[0]);
}

/** What is said of things that are known and not there. */
export const notOnShelf = (names: readonly string[]): string =>
  `Not on the shelf: ${names.join(', ')}. It can be ordered.`;

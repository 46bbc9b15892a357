import { GENERIC_PARTS } from './generic.ts';
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

/** What is said of things that are known and not there. */
export const notOnShelf = (names: readonly string[]): string =>
  `Not on the shelf: ${names.join(', ')}. It can be ordered.`;

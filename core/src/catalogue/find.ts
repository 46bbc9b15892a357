import { ceilTo } from '../units/index.ts';
import { GENERIC_PARTS, kindOf } from './kinds.ts';
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
 * A part that stands a place: from what is there, else from what is listed, else from what exists; only where none
 * stands it, one that does not, so that it can be refused by name.
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

/** Something that is known and not there: what to order, and how many. */
export interface Lack {
  readonly name: string;
  readonly number: number;
  /** What it takes: range, jacket, rating. Nothing for a tool. */
  readonly fits?: string | undefined;
  /** Nothing that is listed will do: a part is meant that somebody has to look for. */
  readonly isUnlisted?: boolean | undefined;
}

/** A part that has to be ordered. @param number how many */
export const lackOf = (part: Part, number = 1): Lack => ({
  name: part.name,
  number,
  fits: kindOf(part.kind).fits(part),
});

/** Heat that a part has to stand, as it is ordered: no less than the place, whole °C. */
const ratedInWords = (placeC: number): string => `rated ${ceilTo(placeC)} °C or more`;

/**
 * A part like a listed one that stands more heat: none that is listed does. @param placeC ambient and own heating, °C
 */
export const lackRated = (part: Part, placeC: number, number = 1): Lack => ({
  name: part.name,
  number,
  fits: [kindOf(part.kind).fits(part), ratedInWords(placeC)].filter((words) => words !== '').join(', '),
  isUnlisted: true,
});

/**
 * A part of a size that is not listed. @param takes what it has to take, in words @param placeC ambient and own
 * heating, °C
 */
export const lackOfSize = (name: string, takes: string, placeC: number, number = 1): Lack => ({
  name,
  number,
  fits: `${takes}, ${ratedInWords(placeC)}`,
  isUnlisted: true,
});

/** A part by its id: as it is listed, else as it is known to exist. */
export const partById = ({ parts }: Pick<Catalogue, 'parts'>, id: string): Part | undefined =>
  parts.find((part) => part.id === id) ?? GENERIC_PARTS.find((part) => part.id === id);

/** A tool, or a part that nobody has described, that has to be found or ordered. */
export const lackNamed = (name: string): Lack => ({ name, number: 1 });

/** What is said of things that are known and not there. */
export const notOnShelf = (lacks: readonly Lack[]): string =>
  `Not on the shelf: ${lacks.map(({ name }) => name).join(', ')}. It can be ordered.`;

/** "2 × Ring M6, middle: 1.04–2.63 mm², strip 7 mm"; said too where nothing listed will do. */
export const orderInWords = ({ name, number, fits, isUnlisted }: Lack): string =>
  [
    `${number} × ${name}`,
    fits === undefined || fits === '' ? '' : `: ${fits}`,
    isUnlisted ? ' (none listed will do: add it to the shelf, and it is planned)' : '',
  ].join('');

import { placesOf, type LaidOut } from './places.ts';
import type { ConnectorFace, Numbering } from './types.ts';

/** Letters that are left out because they are read as figures, unless a connector says otherwise. */
const SKIPPED_LETTERS: readonly string[] = ['I', 'O', 'Q'];

/** The n-th letter label from 0: A … Z, then AA, AB …, without the skipped letters. */
function letterLabel(index: number, skip: readonly string[]): string {
  const alphabet = Array.from({ length: 26 }, (_, at) => String.fromCharCode(65 + at)).filter(
    (letter) => !skip.includes(letter),
  );
  const base = alphabet.length;
  let rest = index;
  let label = '';
  do {
    label = (alphabet[rest % base] ?? '') + label;
    rest = Math.floor(rest / base) - 1;
  } while (rest >= 0);
  return label;
}

/** Places in the order in which a numbering counts them. */
function inOrder(places: readonly LaidOut[], numbering: Numbering): LaidOut[] {
  if (places.some((place) => place.grid === undefined)) return [...places];
  const row = (place: LaidOut): number => place.grid?.row ?? 0;
  const column = (place: LaidOut): number => (numbering.fromRight ? -1 : 1) * (place.grid?.column ?? 0);
  switch (numbering.kind) {
    case 'columnWise':
      return [...places].sort((a, b) => column(a) - column(b) || row(a) - row(b));
    case 'snake':
      return [...places].sort((a, b) => row(a) - row(b) || (row(a) % 2 === 0 ? 1 : -1) * (column(a) - column(b)));
    case 'rowWise':
    case 'rowFirsts':
    case 'letters':
      return [...places].sort((a, b) => row(a) - row(b) || column(a) - column(b));
  }
}

function labelsOf(ordered: readonly LaidOut[], numbering: Numbering): string[] {
  switch (numbering.kind) {
    case 'letters':
      return ordered.map((_, index) => letterLabel(index, numbering.skip ?? SKIPPED_LETTERS));
    case 'rowFirsts': {
      const seen = new Map<number, number>();
      return ordered.map((place) => {
        const row = place.grid?.row ?? 0;
        const before = seen.get(row) ?? 0;
        seen.set(row, before + 1);
        const first = numbering.firsts[row];
        if (first === undefined)
          throw new RangeError(
            `Row ${row + 1} has no first number: give one for each row (${numbering.firsts.length} given).`,
          );
        return String(first + before);
      });
    }
    case 'rowWise':
    case 'columnWise':
    case 'snake':
      return ordered.map((_, index) => String((numbering.first ?? 1) + index));
  }
}

/** A cavity with its number, on the side it is described from with the latch up. */
export interface NumberedCavity extends LaidOut {
  readonly cavity: string;
}

/**
 * The cavities of a face with their numbers, in the order in which they are counted, as described with the latch up.
 * @throws RangeError when two cavities would carry the same number, or on a layout that cannot be
 */
export function cavitiesOf(face: ConnectorFace): NumberedCavity[] {
  const ordered = inOrder(placesOf(face.layout), face.numbering);
  const labels = labelsOf(ordered, face.numbering).map((label) => face.renamed?.[label] ?? label);
  const twice = labels.find((label, index) => labels.indexOf(label) < index);
  if (twice !== undefined)
    throw new RangeError(`Cavity ${twice} is there twice: give every cavity a number of its own.`);
  return ordered.map((place, index) => ({ ...place, cavity: labels[index] ?? '' }));
}

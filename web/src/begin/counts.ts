import type { Catalogue, CatalogueEdit } from '@mendum/core/catalogue';
import { numberOf } from '../ui/typed.ts';

/** What somebody counted of a usual assortment: pieces, tools that are there, mm of wire; by id, as it is typed. */
export interface Counted {
  readonly pieces: Readonly<Record<string, string>>;
  readonly tools: ReadonlySet<string>;
  readonly metres: Readonly<Record<string, string>>;
}
export const NOTHING_COUNTED: Counted = { pieces: {}, tools: new Set(), metres: {} };

const MOST_PIECES = 1e6;
const MOST_METRES = 1000;

/** What is wrong with a number of pieces as it is typed; nothing typed is none. */
export function wrongPieces(text: string | undefined): string | undefined {
  if (text === undefined || text.trim() === '') return undefined;
  const pieces = numberOf(text);
  return Number.isInteger(pieces) && pieces >= 0 && pieces <= MOST_PIECES
    ? undefined
    : 'Enter a whole number from 0 to 1,000,000, or leave it empty.';
}
/** What is wrong with a length of wire as it is typed; nothing typed is none. */
export function wrongMetres(text: string | undefined): string | undefined {
  if (text === undefined || text.trim() === '') return undefined;
  const metres = numberOf(text);
  return metres >= 0 && metres <= MOST_METRES ? undefined : 'Enter a length from 0 to 1,000 m, or leave it empty.';
}

const amount = (text: string | undefined): number => {
  const number = numberOf(text ?? '');
  return Number.isNaN(number) ? 0 : number;
};

/** The shelf as it was counted: what was left empty is not there, what is not ticked is not there. */
export function editsOf(shelf: Catalogue, { pieces, tools, metres }: Counted): CatalogueEdit[] {
  return [
    ...shelf.parts.flatMap((part): CatalogueEdit[] => {
      const quantity = amount(pieces[part.id]);
      return quantity === part.quantity ? [] : [{ kind: 'setPart', part: { ...part, quantity } }];
    }),
    ...shelf.tools.flatMap((tool): CatalogueEdit[] =>
      tools.has(tool.id) ? [] : [{ kind: 'removeTool', id: tool.id }],
    ),
    ...shelf.wires.map((wire): CatalogueEdit => {
      const lengthMm = amount(metres[wire.id]) * 1000;
      return lengthMm > 0 ? { kind: 'setWire', wire: { ...wire, lengthMm } } : { kind: 'removeWire', id: wire.id };
    }),
    { kind: 'setCounted', counted: true },
  ];
}

/** How many sorts were counted. */
export const sortsCounted = ({ pieces, tools, metres }: Counted): number =>
  [...Object.values(pieces), ...Object.values(metres)].filter((text) => amount(text) > 0).length + tools.size;

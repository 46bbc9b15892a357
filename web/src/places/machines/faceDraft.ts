import { cavitiesOf, type ConnectorFace, type FaceSide, type Numbering } from '@mendum/core/connector';
import { numberOf } from '../../ui/typed.ts';

/** A connector's face as it is typed. */
export interface FaceDraft {
  readonly describedFrom: FaceSide;
  readonly layout: 'rows' | 'round' | 'free';
  readonly rows: string;
  readonly columns: string;
  /** Places that are not there, "row.column" from 1. */
  readonly missing: readonly string[];
  /** Number of cavities in each ring, from the outside in: "6, 1". */
  readonly rings: string;
  /** One place a line, "x y" in cavity widths from the middle. */
  readonly places: string;
  readonly numbering: Numbering['kind'];
  readonly first: string;
  /** First number of each row: "1, 8". */
  readonly firsts: string;
  readonly fromRight: boolean;
  readonly renamed: Readonly<Record<string, string>>;
  /** The face that was opened: what of it has no field here is kept. */
  readonly before: ConnectorFace | undefined;
}

export const NEW_FACE: FaceDraft = {
  describedFrom: 'mating',
  layout: 'rows',
  rows: '',
  columns: '',
  missing: [],
  rings: '',
  places: '',
  numbering: 'rowWise',
  first: '1',
  firsts: '',
  fromRight: false,
  renamed: {},
  before: undefined,
};

export function faceDraftOf(face: ConnectorFace | undefined): FaceDraft {
  if (!face) return NEW_FACE;
  const { layout, numbering } = face;
  return {
    ...NEW_FACE,
    before: face,
    describedFrom: face.describedFrom ?? 'mating',
    layout: layout.kind,
    renamed: face.renamed ?? {},
    numbering: numbering.kind,
    fromRight: numbering.fromRight ?? false,
    ...(layout.kind === 'rows'
      ? {
          rows: String(layout.rows),
          columns: String(layout.columns),
          missing: (layout.missing ?? []).map((place) => `${place.row + 1}.${place.column + 1}`),
        }
      : {}),
    ...(layout.kind === 'round' ? { rings: layout.rings.map((ring) => ring.count).join(', ') } : {}),
    ...(layout.kind === 'free' ? { places: layout.places.map((place) => `${place.x} ${place.y}`).join('\n') } : {}),
    ...('first' in numbering && numbering.first !== undefined ? { first: String(numbering.first) } : {}),
    ...(numbering.kind === 'rowFirsts' ? { firsts: numbering.firsts.join(', ') } : {}),
  };
}

const numbersOf = (text: string): number[] =>
  text
    .split(/[\s,;]+/)
    .filter((part) => part !== '')
    .map(numberOf);

/** A ring as it was: the angle of its first cavity has no field here. */
const ringBefore = ({ before }: FaceDraft, ring: number): object =>
  before?.layout.kind === 'round' ? (before.layout.rings[ring] ?? {}) : {};

function layoutOf(draft: FaceDraft): ConnectorFace['layout'] | string {
  switch (draft.layout) {
    case 'rows': {
      const [rows, columns] = [numberOf(draft.rows), numberOf(draft.columns)];
      if (!(
        Number.isInteger(rows) &&
        rows >= 1 &&
        rows <= 40 &&
        Number.isInteger(columns) &&
        columns >= 1 &&
        columns <= 100
      ))
        return 'Enter whole numbers: 1 to 40 rows and 1 to 100 columns.';
      const missing = draft.missing
        .map((place) => place.split('.').map((part) => Number(part) - 1))
        .flatMap(([row, column]) =>
          row !== undefined && column !== undefined && row < rows && column < columns ? [{ row, column }] : [],
        );
      return { kind: 'rows', rows, columns, ...(missing.length > 0 ? { missing } : {}) };
    }
    case 'round': {
      const rings = numbersOf(draft.rings);
      return rings.length > 0 && rings.every((count) => Number.isInteger(count) && count >= 1 && count <= 400)
        ? { kind: 'round', rings: rings.map((count, ring) => ({ ...ringBefore(draft, ring), count })) }
        : 'Enter the number of cavities in each ring, from the outside in, such as 6, 1.';
    }
    case 'free': {
      // A comma is a decimal one here: the two figures stand apart by a space.
      const places = draft.places
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map((line) =>
          line
            .trim()
            .split(/[\s;]+/)
            .map(numberOf),
        );
      return places.length > 0 && places.every((place) => place.length === 2 && !place.some(Number.isNaN))
        ? { kind: 'free', places: places.map(([x = 0, y = 0]) => ({ x, y })) }
        : 'Give each cavity a line: how far right and how far down from the middle, in cavity widths.';
    }
  }
}

function numberingOf(draft: FaceDraft): Numbering | string {
  const fromRight = draft.fromRight ? { fromRight: true } : {};
  const before = draft.before?.numbering;
  if (draft.numbering === 'letters')
    return {
      kind: 'letters',
      ...(before?.kind === 'letters' && before.skip ? { skip: before.skip } : {}),
      ...fromRight,
    };
  if (draft.numbering === 'rowFirsts') {
    const firsts = numbersOf(draft.firsts);
    return firsts.length > 0 && firsts.every(Number.isInteger)
      ? { kind: 'rowFirsts', firsts, ...fromRight }
      : 'Enter the number that is moulded at the start of each row, such as 1, 8.';
  }
  const first = numberOf(draft.first);
  return Number.isInteger(first) && first >= 0
    ? { kind: draft.numbering, ...(first === 1 ? {} : { first }), ...fromRight }
    : 'Enter the first number, such as 1.';
}

/** The face that a draft describes, or what is still wrong with it. */
export function faceOf(
  draft: FaceDraft,
):
  | { readonly ok: true; readonly face: ConnectorFace; readonly ways: number }
  | { readonly ok: false; readonly why: string } {
  const layout = layoutOf(draft);
  if (typeof layout === 'string') return { ok: false, why: layout };
  const numbering = numberingOf(draft);
  if (typeof numbering === 'string') return { ok: false, why: numbering };
  const face: ConnectorFace = {
    layout,
    numbering,
    ...(draft.describedFrom === 'wire' ? { describedFrom: 'wire' } : {}),
    ...(Object.keys(draft.renamed).length > 0 ? { renamed: draft.renamed } : {}),
  };
  try {
    return { ok: true, face, ways: cavitiesOf(face).length };
  } catch (error) {
    return { ok: false, why: error instanceof Error ? error.message : 'This face cannot be.' };
  }
}

import {
  cavitiesOf,
  comeToSame,
  LATCH_DIRECTIONS,
  usualWays,
  waysWithStarts,
  type CavityLayout,
  type ConnectorFace,
  type FaceSide,
  type Gaps,
  type LatchDirection,
  type Numbering,
  type Way,
} from '@mendum/core/connector';
import { numberOf } from '../../ui/typed.ts';

/** How rings and free places are numbered, beside by names. */
export const RING_KINDS = ['rowWise', 'letters', 'rowFirsts'] as const;
type RingKind = (typeof RING_KINDS)[number];

/** A connector's face as it is typed. */
export interface FaceDraft {
  readonly describedFrom: FaceSide;
  /** Where the latch points as it is described: up, right, down, left, or degrees clockwise from the top. */
  readonly latch: LatchDirection | 'angle';
  readonly latchDeg: string;
  readonly layout: CavityLayout['kind'];
  readonly rows: string;
  readonly columns: string;
  /** Places that are not there, "row.column" from 1; of rings "ring.place" from 1. */
  readonly missing: readonly string[];
  /** What is printed at the left of each row: "1, 9, 17"; empty where nothing is. */
  readonly starts: string;
  /** The way of numbering a grid that was tapped. */
  readonly way: Numbering | undefined;
  /** Number of places in each ring, from the outside in: "6, 1"; and the angle of the first of each. */
  readonly rings: string;
  readonly ringDegs: string;
  readonly ringMissing: string;
  readonly ringKind: RingKind;
  readonly ringFirsts: string;
  readonly anticlockwise: boolean;
  readonly fromInside: boolean;
  readonly gaps: Gaps | undefined;
  /** One place a line, "x y" in cavity widths from the middle. */
  readonly places: string;
  readonly first: string;
  /** Every cavity has a name that is typed, in the order of reading. */
  readonly isNamed: boolean;
  readonly names: string;
  readonly renamed: Readonly<Record<string, string>>;
  /** The face that was opened: what of it has no field here is kept. */
  readonly before: ConnectorFace | undefined;
}

export const NEW_FACE: FaceDraft = {
  describedFrom: 'mating',
  latch: 'up',
  latchDeg: '0',
  layout: 'rows',
  rows: '',
  columns: '',
  missing: [],
  starts: '',
  way: undefined,
  rings: '',
  ringDegs: '',
  ringMissing: '',
  ringKind: 'rowWise',
  ringFirsts: '',
  anticlockwise: false,
  fromInside: false,
  gaps: undefined,
  places: '',
  first: '1',
  isNamed: false,
  names: '',
  renamed: {},
  before: undefined,
};

const isRingKind = (kind: Numbering['kind']): kind is RingKind => (RING_KINDS as readonly string[]).includes(kind);

/** A face as it is typed, to be changed. */
export function faceDraftOf(face: ConnectorFace | undefined): FaceDraft {
  if (!face) return NEW_FACE;
  const { layout, numbering, latchDeg = 0 } = face;
  const latch = latchDeg % 90 === 0 ? (LATCH_DIRECTIONS[latchDeg / 90] ?? 'angle') : 'angle';
  const rings = layout.kind === 'round' ? layout.rings : [];
  return {
    ...NEW_FACE,
    before: face,
    describedFrom: face.describedFrom ?? 'mating',
    latch,
    latchDeg: String(latchDeg),
    layout: layout.kind,
    renamed: face.renamed ?? {},
    way: numbering,
    anticlockwise: numbering.anticlockwise ?? false,
    fromInside: numbering.fromInside ?? false,
    gaps: numbering.gaps,
    isNamed: numbering.kind === 'named',
    names: numbering.kind === 'named' ? numbering.names.join(', ') : '',
    ringKind: isRingKind(numbering.kind) ? numbering.kind : 'rowWise',
    ringFirsts: numbering.kind === 'rowFirsts' ? numbering.firsts.join(', ') : '',
    first: 'first' in numbering && numbering.first !== undefined ? String(numbering.first) : '1',
    rows: layout.kind === 'rows' ? String(layout.rows) : '',
    columns: layout.kind === 'rows' ? String(layout.columns) : '',
    missing:
      layout.kind === 'rows' ? (layout.missing ?? []).map((place) => `${place.row + 1}.${place.column + 1}`) : [],
    rings: rings.map((ring) => ring.count).join(', '),
    ringDegs: rings.some((ring) => ring.startDeg !== undefined)
      ? rings.map((ring) => ring.startDeg ?? 0).join(', ')
      : '',
    ringMissing: rings.flatMap((ring, at) => (ring.missing ?? []).map((place) => `${at + 1}.${place + 1}`)).join(', '),
    places: layout.kind === 'free' ? layout.places.map((place) => `${place.x} ${place.y}`).join('\n') : '',
  };
}

const listed = (text: string): string[] => text.split(/[,;\s]+/).filter((part) => part !== '');

/** Names as they are typed: one after the other, or in stretches such as 1-5. */
const namesIn = (text: string): string[] =>
  listed(text).flatMap((part) => {
    const [, from, to] = /^(\d{1,3})[-–](\d{1,3})$/.exec(part) ?? [];
    const [first, last] = [Number(from), Number(to)];
    return from !== undefined && last >= first && last - first < 400
      ? Array.from({ length: last - first + 1 }, (_, at) => String(first + at))
      : [part];
  });

/** Places as they are typed, "1.3": in which row or ring, and where in it, from 0. */
const placesIn = (parts: readonly string[]): { readonly row: number; readonly column: number }[] =>
  parts.flatMap((part) => {
    const [row, column] = part.split('.').map((one) => Number(one) - 1);
    return row !== undefined && column !== undefined && row >= 0 && column >= 0 ? [{ row, column }] : [];
  });

function rowsLayout(draft: FaceDraft): Extract<CavityLayout, { readonly kind: 'rows' }> | string {
  const [rows, columns] = [numberOf(draft.rows), numberOf(draft.columns)];
  const isWhole = Number.isInteger(rows) && rows >= 1 && rows <= 40;
  if (!isWhole || !(Number.isInteger(columns) && columns >= 1 && columns <= 100))
    return 'Enter whole numbers: 1 to 40 rows and 1 to 100 columns.';
  const missing = placesIn(draft.missing).filter((place) => place.row < rows && place.column < columns);
  return { kind: 'rows', rows, columns, ...(missing.length > 0 ? { missing } : {}) };
}

function ringsLayout(draft: FaceDraft): CavityLayout | string {
  const counts = listed(draft.rings).map(numberOf);
  const degs = listed(draft.ringDegs).map(numberOf);
  const gone = placesIn(listed(draft.ringMissing));
  if (counts.length === 0 || !counts.every((count) => Number.isInteger(count) && count >= 1 && count <= 400))
    return 'Enter the number of places in each ring, from the outside in, such as 6, 1.';
  if (!degs.every((deg) => deg >= -360 && deg <= 360))
    return 'Enter angles from -360 to 360 degrees, one for each ring, such as 0, 30.';
  const stray = gone.find(({ row, column }) => column >= (counts[row] ?? 0));
  if (stray) return `Ring ${stray.row + 1} has no place ${stray.column + 1}: it has ${counts[stray.row] ?? 'none'}.`;
  return {
    kind: 'round',
    rings: counts.map((count, at) => {
      const missing = gone.flatMap(({ row, column }) => (row === at ? [column] : []));
      const startDeg = degs[at];
      return {
        count,
        ...(startDeg === undefined ? {} : { startDeg }),
        ...(missing.length > 0 ? { missing } : {}),
      };
    }),
  };
}

function freeLayout(draft: FaceDraft): CavityLayout | string {
  // A comma is a decimal one here: the two figures stand apart by a space.
  const places = draft.places
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.trim().split(/[\s;]+/).map(numberOf)); // prettier-ignore
  return places.length > 0 && places.every((place) => place.length === 2 && !place.some(Number.isNaN))
    ? { kind: 'free', places: places.map(([x = 0, y = 0]) => ({ x, y })) }
    : 'Give each cavity a line: how far right and how far down from the middle, in cavity widths.';
}

const layoutOf = (draft: FaceDraft): CavityLayout | string =>
  ({ rows: rowsLayout, round: ringsLayout, free: freeLayout })[draft.layout](draft);

/** The ways of numbering a grid from which one is tapped: the usual ones, or those that its printed starts leave. */
export function waysOf(draft: FaceDraft): { readonly ways: readonly Way[]; readonly why?: string } {
  const layout = draft.layout === 'rows' ? rowsLayout(draft) : 'no grid';
  if (typeof layout === 'string') return { ways: [] };
  const starts = listed(draft.starts);
  try {
    if (starts.length === 0) return { ways: usualWays(layout) };
    const read = waysWithStarts(layout, starts);
    return read.ok ? { ways: read.ways } : { ways: [], why: read.why };
  } catch (error) {
    return { ways: [], why: error instanceof Error ? error.message : '' };
  }
}

/** Whether a grid is numbered so: what it comes to counts, not how it is said. */
export function isNumberedSo(draft: FaceDraft, one: Numbering | undefined, other: Numbering): boolean {
  const layout = rowsLayout(draft);
  if (one === undefined || typeof layout === 'string') return false;
  try {
    return comeToSame(layout, one, other);
  } catch {
    // What was tapped, or opened, cannot be on a grid that was changed since.
    return false;
  }
}

const isSameLayout = (draft: FaceDraft, layout: CavityLayout): boolean =>
  JSON.stringify(draft.before?.layout) === JSON.stringify(layout);

function gridNumbering(draft: FaceDraft, layout: CavityLayout): Numbering | string {
  const { ways, why } = waysOf(draft);
  if (why !== undefined) return why;
  const { way } = draft;
  // Kept as it is said: it may say more than the usual way that it comes to here.
  if (way && ways.some(({ numbering }) => isNumberedSo(draft, way, numbering))) return way;
  // As it was opened, unless the starts say otherwise.
  if (way && draft.starts.trim() === '' && isSameLayout(draft, layout)) return way;
  const [only] = ways;
  if (only && ways.length === 1) return only.numbering;
  return draft.starts.trim() === ''
    ? 'Tap the way in which it is numbered, or enter what is printed at the left of each row.'
    : 'What is printed leaves several ways: tap the right one.';
}

const NUMBERED_BY = ['ringKind', 'ringFirsts', 'first', 'anticlockwise', 'fromInside', 'gaps'] as const;
/** Whether nothing was changed of how rings or free places are numbered. */
const isAsOpened = (draft: FaceDraft): boolean => {
  const opened = faceDraftOf(draft.before);
  return NUMBERED_BY.every((field) => draft[field] === opened[field]);
};

function ringNumbering(draft: FaceDraft, layout: CavityLayout): Numbering | string {
  const hasGaps = layout.kind === 'round' && layout.rings.some(({ missing = [] }) => missing.length > 0);
  if (hasGaps && draft.gaps === undefined && !isSameLayout(draft, layout))
    return 'Say whether a place that is not there takes a number.';
  if (draft.before?.layout.kind === layout.kind && isAsOpened(draft)) return draft.before.numbering;
  const counting = {
    ...(draft.anticlockwise ? { anticlockwise: true } : {}),
    ...(draft.fromInside ? { fromInside: true } : {}),
    ...(draft.gaps === undefined ? {} : { gaps: draft.gaps }),
  };
  const before = draft.before?.numbering;
  if (draft.ringKind === 'letters')
    return {
      kind: 'letters',
      ...(before?.kind === 'letters' && before.skip ? { skip: before.skip } : {}),
      ...counting,
    };
  if (draft.ringKind === 'rowFirsts') {
    const firsts = listed(draft.ringFirsts).map((part) => (/^\d+$/.test(part) ? Number(part) : part));
    return firsts.length > 0
      ? { kind: 'rowFirsts', firsts, ...counting }
      : 'Enter what is moulded at the first place of each ring, such as 1, A.';
  }
  const first = numberOf(draft.first);
  return Number.isInteger(first) && first >= 0
    ? { kind: 'rowWise', ...(first === 1 ? {} : { first }), ...counting }
    : 'Enter the first number, such as 1.';
}

function numberingOf(draft: FaceDraft, layout: CavityLayout): Numbering | string {
  if (draft.isNamed) {
    const names = namesIn(draft.names);
    return names.length > 0 ? { kind: 'named', names } : 'Enter the names of the cavities, such as 1-5, A, B.';
  }
  return layout.kind === 'rows' ? gridNumbering(draft, layout) : ringNumbering(draft, layout);
}

/** Where the latch points as it is described, degrees; what is wrong with it. */
function latchDegOf({ latch, latchDeg }: FaceDraft): number | string {
  if (latch !== 'angle') return LATCH_DIRECTIONS.indexOf(latch) * 90;
  const deg = numberOf(latchDeg);
  return deg >= 0 && deg < 360 ? deg : 'Enter the angle of the latch, from 0 up to 360 degrees.';
}

/** The face that a draft describes, or what is still wrong with it. */
export function faceOf(
  draft: FaceDraft,
):
  | { readonly ok: true; readonly face: ConnectorFace; readonly ways: number }
  | { readonly ok: false; readonly why: string } {
  const layout = layoutOf(draft);
  if (typeof layout === 'string') return { ok: false, why: layout };
  const latchDeg = latchDegOf(draft);
  if (typeof latchDeg === 'string') return { ok: false, why: latchDeg };
  const numbering = numberingOf(draft, layout);
  if (typeof numbering === 'string') return { ok: false, why: numbering };
  const face: ConnectorFace = {
    layout,
    numbering,
    ...(draft.describedFrom === 'wire' ? { describedFrom: 'wire' } : {}),
    ...(latchDeg === 0 ? {} : { latchDeg }),
    ...(Object.keys(draft.renamed).length > 0 ? { renamed: draft.renamed } : {}),
  };
  try {
    return { ok: true, face, ways: cavitiesOf(face).length };
  } catch (error) {
    return { ok: false, why: error instanceof Error ? error.message : 'This face cannot be.' };
  }
}

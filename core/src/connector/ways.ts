import { cavitiesOf, type NumberedCavity } from './numbering.ts';
import { slotsOf } from './places.ts';
import type { CavityLayout, Gaps, Numbering } from './types.ts';

/** A way in which the makers of connectors number them, with what it comes to on a layout. */
export interface Way {
  readonly numbering: Numbering;
  readonly words: string;
  readonly cavities: readonly NumberedCavity[];
}

type Rows = Extract<CavityLayout, { readonly kind: 'rows' }>;
type Corner = { readonly fromRight: boolean; readonly fromBottom: boolean };
type Usual = Exclude<Numbering['kind'], 'rowFirsts' | 'named'>;

const CORNERS: readonly Corner[] = [
  { fromRight: false, fromBottom: false },
  { fromRight: true, fromBottom: false },
  { fromRight: false, fromBottom: true },
  { fromRight: true, fromBottom: true },
];
const cornerWords = ({ fromRight, fromBottom }: Corner): string =>
  `${fromBottom ? 'bottom' : 'top'} ${fromRight ? 'right' : 'left'}`;

const KIND_WORDS: Record<Usual, string> = {
  rowWise: 'row by row',
  columnWise: 'column by column',
  snake: 'row by row, to and fro',
  columnSnake: 'column by column, up and down',
  letters: 'in letters, row by row',
  letterRows: 'a letter a row',
};
const GAP_WORDS: Record<Gaps, string> = { skip: 'a gap takes no number', count: 'a gap takes a number' };

/** What a way comes to, told by its labels and where they are. */
const signature = (cavities: readonly NumberedCavity[]): string =>
  cavities
    .map(({ row = 0, column = 0, cavity }) => `${row}.${column}=${cavity}`)
    .sort()
    .join(' ');

/** Whether two numberings come to the same labels on a grid. @throws RangeError where one of them cannot be */
export const comeToSame = (layout: Rows, one: Numbering, other: Numbering): boolean =>
  signature(cavitiesOf({ layout, numbering: one })) === signature(cavitiesOf({ layout, numbering: other }));

/** Ways that come to different labels, the first of those that do not differ. */
function different(ways: readonly Way[]): Way[] {
  const seen = new Set<string>();
  return ways.filter(({ cavities }) => {
    const own = signature(cavities);
    return seen.size !== seen.add(own).size;
  });
}

/** A numbering as short as it may be: what is not there says the same as `false` and `skip`. */
function numberingOf(
  kind: Usual,
  { fromRight, fromBottom }: Corner,
  gaps: Gaps | undefined,
  byColumn: boolean,
): Numbering {
  return {
    kind,
    ...(byColumn ? { byColumn } : {}),
    ...(fromRight ? { fromRight } : {}),
    ...(fromBottom ? { fromBottom } : {}),
    ...(gaps === undefined ? {} : { gaps }),
  };
}

/** Another corner is as unusual as so many other kinds. */
const CORNER_WEIGHS = 2.5;

/**
 * How a grid is numbered under each of the usual ways, as it is described, the most usual first; where places are not
 * there, with and without a number for them. Ways that come to the same are named once.
 * @throws RangeError on a layout that cannot be
 */
export function usualWays(layout: Rows): Way[] {
  const gaps: readonly (Gaps | undefined)[] = slotsOf(layout).some(({ isMissing }) => isMissing)
    ? ['skip', 'count']
    : [undefined];
  const kinds: readonly (readonly [Usual, boolean])[] = [
    ['rowWise', false],
    ['snake', false],
    ['columnWise', false],
    ['letterRows', false],
    ['letterRows', true],
    ['letters', false],
    ['columnSnake', false],
  ];
  const each = kinds.flatMap(([kind, byColumn], at) =>
    CORNERS.map((corner, from) => ({ kind, byColumn, corner, unusual: at + CORNER_WEIGHS * from })),
  );
  return different(
    each
      .sort((a, b) => a.unusual - b.unusual)
      .flatMap(({ kind, byColumn, corner }) =>
        gaps.map((gap): Way => {
          const numbering = numberingOf(kind, corner, gap, byColumn);
          const what = byColumn ? 'a letter a column' : KIND_WORDS[kind];
          return {
            numbering,
            words: `${what}, from the ${cornerWords(corner)}${gap === undefined ? '' : `; ${GAP_WORDS[gap]}`}`,
            cavities: cavitiesOf({ layout, numbering }),
          };
        }),
      ),
  );
}

/** What is printed at the left edge of each row that has a cavity, from the top: its leftmost cavity's name. */
export function leftEdge(cavities: readonly NumberedCavity[]): string[] {
  const rows = [...new Set(cavities.map(({ row = 0 }) => row))].sort((a, b) => a - b);
  return rows.map(
    (of) => cavities.filter(({ row }) => row === of).sort((a, b) => (a.column ?? 0) - (b.column ?? 0))[0]?.cavity ?? '',
  );
}

/** The ways that what is printed at the left edge of the rows leaves; several have to be asked; or what contradicts. */
export type StartsReading =
  { readonly ok: true; readonly ways: readonly Way[] } | { readonly ok: false; readonly why: string };

/** The same way, beginning at another number, so that its first row starts as it is printed. */
function shifted(way: Way, layout: Rows, start: string): Way {
  const own = leftEdge(way.cavities)[0] ?? '';
  const { numbering } = way;
  if (!('first' in numbering || ['rowWise', 'columnWise', 'snake', 'columnSnake'].includes(numbering.kind))) return way;
  if (!/^\d+$/.test(start) || !/^\d+$/.test(own)) return way;
  const first = 1 + Number(start) - Number(own);
  if (first === 1 || first < 0) return way;
  const moved = { ...numbering, first } as Numbering;
  return { ...way, numbering: moved, cavities: cavitiesOf({ layout, numbering: moved }) };
}

/** What two rows contradict each other in: each counts on from its start, and they meet. */
function contradiction(layout: Rows, starts: readonly string[]): string {
  const clash = starts.flatMap((start, row) => {
    const have = slotsOf(layout).filter((slot) => slot.row === row && !slot.isMissing).length;
    const last = /^\d+$/.test(start) ? Number(start) + have - 1 : undefined;
    const other = starts.findIndex(
      (one, at) => at !== row && last !== undefined && Number(one) >= Number(start) && Number(one) <= last,
    );
    return other < 0 || last === undefined
      ? []
      : [
          `Row ${row + 1} has ${have} cavities from ${start}: it would reach ${last}, and row ${other + 1} begins at ${starts[other] ?? ''}.`,
        ];
  });
  return `${clash[0] ?? 'Two rows would have the same names.'} No usual way gives ${starts.join(', ')} at the left edge.`;
}

/**
 * The ways of numbering a grid that leave what is printed at the left edge of its rows, from the top: of the usual ones
 * those that come to it, else each row counting on by itself. More than one: the starts do not tell, and it is asked.
 * @param starts as moulded: numbers, letters, or both
 */
export function waysWithStarts(layout: Rows, starts: readonly string[]): StartsReading {
  const said = starts.map((start) => start.trim());
  const rows = new Set(slotsOf(layout).flatMap(({ row, isMissing }) => (isMissing ? [] : [row]))).size;
  if (said.length !== rows || said.includes(''))
    return {
      ok: false,
      why: `${rows} rows have cavities, and ${said.filter((start) => start !== '').length} are given: give what is printed at the left of each.`,
    };
  const isAs = ({ cavities }: Way): boolean => leftEdge(cavities).join(' ') === said.join(' ');
  const fromOne = usualWays(layout);
  const asTheyAre = fromOne.filter(isAs);
  // A way that begins at another number begins with one that is printed.
  const moved = fromOne
    .map((way) => shifted(way, layout, said[0] ?? ''))
    .filter((way) => isAs(way) && 'first' in way.numbering && said.includes(String(way.numbering.first)));
  const usual = different(asTheyAre.length > 0 ? asTheyAre : moved);
  if (usual.length > 0) return { ok: true, ways: usual };
  const gaps: readonly (Gaps | undefined)[] = slotsOf(layout).some(({ isMissing }) => isMissing)
    ? ['skip', 'count']
    : [undefined];
  const present = [...new Set(slotsOf(layout).flatMap(({ row, isMissing }) => (isMissing ? [] : [row ?? 0])))];
  const firsts = Array.from({ length: layout.rows }, (_, row): number | string => {
    const start = said[present.indexOf(row)] ?? '1';
    return /^\d+$/.test(start) ? Number(start) : start;
  });
  const counting = gaps.flatMap((gap): Way[] => {
    const numbering: Numbering = { kind: 'rowFirsts', firsts, ...(gap === undefined ? {} : { gaps: gap }) };
    try {
      const cavities = cavitiesOf({ layout, numbering });
      if (leftEdge(cavities).join(' ') !== said.join(' ')) return [];
      return [
        { numbering, words: `each row on from its start${gap === undefined ? '' : `; ${GAP_WORDS[gap]}`}`, cavities },
      ];
    } catch {
      return [];
    }
  });
  const ways = different(counting);
  return ways.length > 0 ? { ok: true, ways } : { ok: false, why: contradiction(layout, said) };
}

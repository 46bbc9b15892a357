import fc from 'fast-check';
import type { ColourName } from '../../wire/index.ts';

/** A wire as somebody knows it who writes a sheet: what every reading of that sheet has to come to. */
export interface Known {
  readonly number: string;
  readonly words: string;
  readonly size: string;
  readonly sizeSaid: string;
  readonly colour: readonly [ColourName, ColourName?];
  readonly from: readonly [string, string];
  readonly to: readonly [string, string];
}

/** How somebody writes: language of headers, forms of colours, what is left out, what stands between. */
export interface Style {
  readonly heads: 'english' | 'short' | 'german';
  readonly colours: 'words' | 'iec' | 'german';
  readonly sizes: 'mm²' | 'comma' | 'awg' | 'bare';
  /** One end a line, in lists by connector; or both ends, in one cell each or in two. */
  readonly ends: 'one' | 'joint' | 'split';
  readonly order: readonly number[];
  readonly dittos: readonly number[];
  readonly noise: readonly (readonly [at: number, what: number])[];
  readonly title: boolean;
  readonly blankConnectors: boolean;
}

const IEC: Partial<Record<ColourName, string>> = { black: 'BK', brown: 'BN', red: 'RD', orange: 'OG', yellow: 'YE', green: 'GN', blue: 'BU', violet: 'VT', grey: 'GY', white: 'WH', pink: 'PK' }; // prettier-ignore
const GERMAN: Partial<Record<ColourName, string>> = { black: 'sw', brown: 'br', red: 'rt', orange: 'or', yellow: 'ge', green: 'gn', blue: 'bl', violet: 'vi', grey: 'gr', white: 'ws', pink: 'rs' }; // prettier-ignore
const COLOURS = Object.keys(IEC) as ColourName[];

const HEADS = {
  english: {
    number: 'Circuit no.',
    words: 'Function',
    size: 'Wire size',
    colour: 'Colour',
    from: 'From',
    to: 'To',
    connector: 'Connector',
    cavity: 'Cavity',
    toConnector: 'To connector',
    toCavity: 'To cavity',
  },
  short: {
    number: 'CKT',
    words: 'Description',
    size: 'Gauge',
    colour: 'Clr',
    from: 'Source',
    to: 'Dest.',
    connector: 'Conn.',
    cavity: 'Pin',
    toConnector: 'Dest conn',
    toCavity: 'Dest pin',
  },
  german: {
    number: 'Ader-Nr.',
    words: 'Funktion',
    size: 'Querschnitt',
    colour: 'Aderfarbe',
    from: 'Von',
    to: 'Nach',
    connector: 'Stecker',
    cavity: 'Kammer',
    toConnector: 'Zielstecker',
    toCavity: 'Ziel-Pin',
  },
} as const;

/** What stands in sheets beside circuits: lines that a reader leaves out, and cavities without a wire. */
const NOISE: readonly ((width: number) => { readonly cells: readonly string[]; readonly outcome?: 'leftOut' })[] = [
  (width) => ({ cells: Array.from({ length: width }, () => '') }),
  () => ({ cells: ['Notes: see the drawing'], outcome: 'leftOut' }),
  () => ({ cells: ['', 'Checked by I. Valdur on Monday'], outcome: 'leftOut' }),
  (width) => ({ cells: Array.from({ length: width }, () => '---'), outcome: 'leftOut' }),
  () => ({ cells: ['Page 2 of 4'], outcome: 'leftOut' }),
];

const SIZES = [
  ['0.5', '0,5'],
  ['0.75', '0,75'],
  ['1', '1,0'],
  ['1.5', '1,5'],
  ['2.5', '2,5'],
] as const;
const GAUGES = ['20', '18', '16', '14'] as const;

/** A sheet as rows, what it has to come to, and the answers of whoever wrote it. */
export interface Written {
  readonly rows: string[][];
  readonly wires: readonly Known[];
  readonly answers: Readonly<Record<string, string>>;
  readonly leftOut: number;
  readonly empty: number;
}

function colourText([base, stripe]: Known['colour'], style: Style): string {
  const one = (name: ColourName): string =>
    style.colours === 'words' ? name : ((style.colours === 'iec' ? IEC : GERMAN)[name] ?? name);
  return stripe === undefined ? one(base) : `${one(base)}/${one(stripe)}`;
}

type Column = readonly [name: string, cell: (wire: Known) => string];

/** Writes a sheet by hand, as it were: nothing of the reader is used. */
function write(wires: readonly Known[], style: Style): Written {
  const head = HEADS[style.heads];
  const isOne = style.ends === 'one';
  const near: readonly Column[] =
    style.ends === 'joint'
      ? [[head.from, ({ from }) => from.join('-')]]
      : [
          [head.connector, ({ from }) => from[0]],
          [head.cavity, ({ from }) => from[1]],
        ];
  const far: Readonly<Record<Style['ends'], readonly Column[]>> = {
    one: [],
    joint: [[head.to, ({ to }) => (/^X/.test(to[0]) ? to.join(':') : to[0])]],
    split: [
      [head.toConnector, ({ to }) => to[0]],
      [head.toCavity, ({ to }) => to[1]],
    ],
  };
  const ends = [...near, ...far[style.ends]];
  const columns: readonly Column[] = [
    [head.number, ({ number }) => number],
    [head.words, ({ words }) => words],
    [head.size, ({ sizeSaid }) => sizeSaid],
    [head.colour, ({ colour }) => colourText(colour, style)],
    ...ends,
  ];
  const ordered = style.order.flatMap((at): Column[] => columns.slice(at % columns.length, (at % columns.length) + 1));
  const used = [...new Set([...ordered, ...columns])];
  const rows: string[][] = [];
  let leftOut = 0;
  let empty = 0;
  if (style.title) {
    rows.push(['Harvester cab loom, sheet 3']);
    leftOut += 1;
  }
  rows.push(used.map(([name]) => name));
  leftOut += 1;
  let above: readonly string[] | undefined;
  let aboveConnector: string | undefined;
  wires.forEach((wire, index) => {
    for (const [at, what] of style.noise)
      if (at % wires.length === index) {
        if (what === NOISE.length) {
          // A cavity without a wire.
          const spare = used.map(([name]) => {
            if (name === head.words) return ['spare', 'not used', 'unbelegt', 'n/c'][at % 4] ?? 'spare';
            if (name === head.cavity) return `9${index}`;
            return name === head.from ? `${wire.from[0]}-9${index}` : name === head.connector ? wire.from[0] : '';
          });
          rows.push(spare);
          aboveConnector = wire.from[0];
          above = undefined;
          empty += 1;
          continue;
        }
        const noise = NOISE[what % NOISE.length]?.(used.length);
        if (!noise) continue;
        rows.push([...noise.cells]);
        if (noise.outcome) leftOut += 1;
      }
    const full = used.map(([, cell]) => cell(wire));
    const cells = full.map((cell, column) => {
      const name = used[column]?.[0];
      if (style.blankConnectors && name === head.connector && aboveConnector === cell) return '';
      const mayRepeat = name === head.size || name === head.colour;
      return mayRepeat && above?.[column] === cell && style.dittos.includes(index) ? '"' : cell;
    });
    rows.push(cells);
    above = full;
    aboveConnector = wire.from[0];
  });
  const bare = Object.fromEntries(
    style.sizes === 'bare' ? wires.map(({ sizeSaid }) => [`size:${sizeSaid}`, 'awg'] as const) : [],
  );
  return { rows, wires, answers: { ...bare, ...(isOne ? { to: '?' } : {}), colours: style.colours }, leftOut, empty };
}

const style: fc.Arbitrary<Style> = fc.record({
  heads: fc.constantFrom('english', 'short', 'german'),
  colours: fc.constantFrom('words', 'iec', 'german'),
  sizes: fc.constantFrom('mm²', 'comma', 'awg', 'bare'),
  ends: fc.constantFrom('one', 'joint', 'split'),
  order: fc.array(fc.nat({ max: 7 }), { maxLength: 8 }),
  dittos: fc.array(fc.nat({ max: 11 }), { maxLength: 6 }),
  noise: fc.array(fc.tuple(fc.nat({ max: 11 }), fc.nat({ max: NOISE.length })), { maxLength: 5 }),
  title: fc.boolean(),
  blankConnectors: fc.boolean(),
});

const wiresIn = (of: Style, after = 0): fc.Arbitrary<readonly Known[]> =>
  fc
    .array(
      fc.record({
        size: fc.nat({ max: 4 }),
        colour: fc.tuple(fc.constantFrom(...COLOURS), fc.option(fc.constantFrom(...COLOURS))),
        words: fc.constantFrom('Pump feed', 'Lamp, left', 'Level sensor', 'Klappe "auf"', 'Valve 3; return', 'Öldruck'),
        connector: fc.constantFrom('X31', 'X32', 'P4'),
        far: fc.constantFrom('X51', 'X52', 'SP3', 'GND2'),
      }),
      { minLength: 1, maxLength: 12 },
    )
    .map((parts) =>
      parts.map(({ size, colour: [base, stripe], words, connector, far }, index): Known => {
        const [metric, comma] = SIZES[size] ?? SIZES[0];
        const gauge = GAUGES[size % GAUGES.length] ?? '16';
        const isGauge = of.sizes === 'awg' || of.sizes === 'bare';
        const isPlace = /^(?:SP|GND)/.test(far);
        const number = `${of.heads === 'short' ? 'W' : ''}${101 + after + index}`;
        // A ground in two columns has no cavity: such a far end stands in one.
        const to: Known['to'] =
          of.ends === 'one'
            ? ['Far end not known', number]
            : isPlace && of.ends === 'joint'
              ? [far, number]
              : [isPlace ? 'X51' : far, String(after + index + 1)];
        return {
          number,
          words,
          size: isGauge ? `awg${gauge}` : metric,
          sizeSaid: { 'mm²': `${metric} mm²`, comma: `${comma} mm²`, awg: `${gauge} AWG`, bare: gauge }[of.sizes],
          colour: stripe === null || stripe === base ? [base] : [base, stripe],
          from: [connector, String(after + index + 1)],
          to,
        };
      }),
    );

/** How far the figures of a second list are from those of the first. */
const AFTER = 20;
const both = (one: Written, other: Written, rows: string[][]): Written => ({
  rows,
  wires: [...one.wires, ...other.wires],
  answers: { ...one.answers, ...other.answers },
  leftOut: one.leftOut + other.leftOut,
  empty: one.empty + other.empty,
});

/** Two lists of one sheet, the second below the first, under headers of its own. */
const below = ([one, other]: readonly [Written, Written]): Written =>
  both(one, other, [...one.rows, [], ...other.rows]);

/** Two lists of one sheet side by side, with nothing between or a blank column. */
const beside = ([one, other]: readonly [Written, Written], gap: number): Written => {
  const width = Math.max(...one.rows.map((row) => row.length)) + gap;
  const high = Math.max(one.rows.length, other.rows.length);
  const rows = Array.from({ length: high }, (_, at) => {
    const left = one.rows[at] ?? [];
    return [...left, ...Array.from({ length: width - left.length }, () => ''), ...(other.rows[at] ?? [])];
  });
  return both(one, other, rows);
};

const single = style.chain((of) => wiresIn(of).map((wires) => write(wires, of)));
const two = (first: Style, second: Style): fc.Arbitrary<readonly [Written, Written]> =>
  fc
    .tuple(wiresIn(first), wiresIn(second, AFTER))
    .map(([one, other]) => [write(one, first), write(other, second)] as const);

/** A sheet of any sort, with noise of every sort in it. */
export const written: fc.Arbitrary<Written> = fc.oneof(
  { weight: 3, arbitrary: single },
  {
    weight: 1,
    // Other headers, so that it is another list; the colours of a sheet are of one system.
    arbitrary: style.chain((of) => two(of, { ...of, heads: of.heads === 'german' ? 'short' : 'german' }).map(below)),
  },
  {
    weight: 1,
    arbitrary: fc.tuple(style, fc.nat({ max: 1 })).chain(([of, gap]) => {
      // Lists side by side have the same columns, and each of them one end.
      const first: Style = { ...of, ends: 'one', order: [], noise: [], title: false };
      return two(first, first).map((pair) => beside(pair, gap));
    }),
  },
);

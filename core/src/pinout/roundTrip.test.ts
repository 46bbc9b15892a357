import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  CIRCUIT_KINDS,
  SEAL_STATES,
  TERMINAL_FAMILIES,
  type Circuit,
  type CavityFitting,
  type HarnessNode,
} from '../harness/index.ts';
import { harnessFromPinout } from '../survey/index.ts';
import { readSheetFile, writeCsv, writeWorkbook } from '../spreadsheet/index.ts';
import { readPinout, writeCavities, writePinout, type PinoutHarness, type PinoutReading, type Sheet } from './index.ts';
import { BARE_TREE, clean, EMPTY, words, wire } from './test/sheets.ts';

const END_NAMES = ['SP3', 'Mirror joint', 'G104', 'Frame stud', 'Open end 2', 'Cut ends', 'S1'] as const;
/** Remarks that say something, nothing, and what their circuit is not. */
const REMARKS = [
  'Twisted with 2.',
  'verdrillt mit 1',
  'shielded, drain at X31',
  'not shielded',
  'fuse F12: its rating is not given',
  'chafes at the hinge, re-routed; see page 14',
  '=SUM(A1)',
  'none of the above',
] as const;

const fitting: fc.Arbitrary<CavityFitting> = fc
  .record({
    terminal: fc.option(fc.constantFrom(...TERMINAL_FAMILIES), { nil: undefined }),
    seal: fc.option(fc.constantFrom(...SEAL_STATES), { nil: undefined }),
  })
  .filter(({ terminal, seal }) => (terminal ?? seal) !== undefined);

/** Harnesses of every sort: wires between connectors, splices, grounds and open ends, pairs, shields, remarks. */
const harness: fc.Arbitrary<PinoutHarness> = fc
  .record({
    parts: fc.array(
      fc.record({
        wire,
        words,
        kind: fc.constantFrom(...CIRCUIT_KINDS),
        fuseA: fc.option(fc.double({ min: 0.1, max: 200, noNaN: true }), { nil: undefined }),
        loadA: fc.option(fc.double({ min: 0.001, max: 200, noNaN: true }), { nil: undefined }),
        shield: fc.option(fc.constantFrom({}, { drainMm2: 0.5 }, { drainMm2: 1.31 }), { nil: undefined }),
        remark: fc.option(fc.constantFrom(...REMARKS), { nil: undefined }),
        far: fc.constantFrom('X32', 'X33', ...END_NAMES),
        near: fc.constantFrom('X31', 'X31', 'X31', ...END_NAMES),
        at: fc.constantFrom('number', 'a', '12'),
      }),
      { minLength: 1, maxLength: 12 },
    ),
    kinds: fc.array(fc.constantFrom('splice' as const, 'end' as const), {
      minLength: END_NAMES.length,
      maxLength: END_NAMES.length,
    }),
    pair: fc.boolean(),
    sits: fc.dictionary(fc.integer({ min: 1, max: 14 }).map(String), fitting, { maxKeys: 5 }),
  })
  .map(({ parts, kinds, pair, sits }): PinoutHarness => {
    const idOf = (name: string): string => `n-${name.replaceAll(' ', '')}`;
    const ends = END_NAMES.map((name, index): HarnessNode => ({ id: idOf(name), kind: kinds[index]!, name }));
    const nodes = [...BARE_TREE.nodes.map((node) => (node.id === 'X31' ? { ...node, fittings: sits } : node)), ...ends];
    const runs = [
      ...BARE_TREE.runs,
      ...ends.map(({ id }, index) => ({
        ...BARE_TREE.runs[0]!,
        id: `E${index}`,
        name: `To end ${index}`,
        fromNodeId: 'B1',
        toNodeId: id,
      })),
    ];
    const circuits = parts.map(({ words: named, far, near, at, ...rest }, index): Circuit => {
      const number = String(index + 1);
      const place = (name: string): Circuit['from'] =>
        (END_NAMES as readonly string[]).includes(name)
          ? { nodeId: idOf(name), cavity: at === 'number' ? number : at }
          : { nodeId: name, cavity: number };
      const isSame = far === near;
      return {
        ...Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined)),
        id: `C${number}`,
        number,
        function: named,
        from: place(near),
        to: place(isSame ? 'X32' : far),
        runIds: [],
      } as unknown as Circuit;
    });
    const routed = circuits.map((circuit) => ({ ...circuit, runIds: runIdsOf(circuit, runs) }));
    return {
      nodes,
      runs,
      circuits: routed.map((one, at) =>
        pair && at < 2 && routed.length > 1 ? { ...one, pairWith: `C${2 - at}` } : one,
      ),
    };
  });

/** All hang on B1: the run of one end, and that of the other. */
const runIdsOf = ({ from, to }: Circuit, runs: PinoutHarness['runs']): string[] =>
  [from, to].map(
    ({ nodeId }) => runs.find((run) => run.fromNodeId === nodeId || (run.toNodeId === nodeId && nodeId !== 'B1'))!.id,
  );

const bare = (of: PinoutHarness): PinoutHarness => ({
  ...of,
  circuits: [],
  nodes: of.nodes.map(({ fittings: _, ...node }) => node),
});
const sitting = (of: PinoutHarness): string[] =>
  of.nodes
    .flatMap(({ name, fittings = {} }) =>
      Object.entries(fittings).map(([cavity, one]) => JSON.stringify({ connector: name, cavity, ...one })),
    )
    .sort();
const read = (fittings: PinoutReading['fittings']): string[] =>
  [...new Set(fittings.map((one) => JSON.stringify(one)))].sort();
/** Whichever end comes first: a list of cavities has each wire twice. */
const eitherWay = ({ from, to, runIds, ...circuit }: Circuit): unknown => ({
  ...circuit,
  ends: [from, to].map(({ nodeId, cavity }) => `${nodeId} ${cavity}`).sort(),
  runIds: [...runIds].sort(),
});
const byNumber = (circuits: readonly Circuit[]): Circuit[] =>
  [...circuits].sort((a, b) => Number(a.number) - Number(b.number));
const inOrder = (reading: PinoutReading): Circuit[] => byNumber(clean(reading).rows.map(({ circuit }) => circuit));

const SHEETS = [
  ['one line a circuit', writePinout],
  ['one line a cavity', writeCavities],
] as const;

describe.each(SHEETS)('round trip, %s', (_kind, write) => {
  const asFiles: readonly (readonly [string, (rows: string[][]) => Promise<Sheet>])[] = [
    ['cells', (rows) => Promise.resolve({ rows })],
    ['CSV', async (rows) => (await readSheetFile(new TextEncoder().encode(writeCsv(rows)), 'a.csv'))[0]!],
    ['XLSX', async (rows) => (await readSheetFile(await writeWorkbook(rows, 'A'), 'a.xlsx'))[0]!],
  ];
  test.each(asFiles)('as %s: the same circuits, and what sits in every cavity', async (as, through) => {
    await fc.assert(
      fc.asyncProperty(harness, async (of) => {
        const reading = readPinout(await through(write(of)), bare(of));
        expect(inOrder(reading).map(eitherWay)).toEqual(byNumber(of.circuits).map(eitherWay));
        expect(read(reading.fittings)).toEqual(sitting(of));
        expect(reading.newConnectors).toEqual([]);
      }),
      { numRuns: as === 'XLSX' ? 25 : 200 },
    );
  });
  test('read once more over what is there, nothing changes', () => {
    fc.assert(
      fc.property(harness, (of) => {
        expect(inOrder(readPinout({ rows: write(of) }, of))).toEqual(byNumber(of.circuits));
      }),
      { numRuns: 150 },
    );
  });
  test('into a new harness: every place is what it was, splices and grounds too', () => {
    fc.assert(
      fc.property(harness, (of) => {
        const reading = clean(readPinout({ rows: write(of) }, EMPTY));
        const made = harnessFromPinout('New', reading, new Map(), new Map());
        const places = (one: PinoutHarness): string[] => {
          const nodeOf = (id: string): HarnessNode => one.nodes.find((node) => node.id === id)!;
          const said = ({ nodeId, cavity }: Circuit['from']): string =>
            `${nodeOf(nodeId).kind} ${nodeOf(nodeId).name} ${cavity}`;
          return one.circuits
            .map(({ number, from, to }) => `${number}: ${[said(from), said(to)].sort().join(', ')}`)
            .sort();
        };
        expect(places(made as PinoutHarness)).toEqual(places(of));
      }),
      { numRuns: 150 },
    );
  });
});

describe('one connector', () => {
  test('has a line for each cavity of its face, with where its wire goes, and what is empty', () => {
    const [x31] = BARE_TREE.nodes;
    const circuit: Circuit = {
      id: 'C1',
      number: '1',
      function: 'Work lamp',
      kind: 'power',
      wire: {
        size: { basis: 'awg', awg: 16 },
        conductor: { kind: 'stranded' },
        jacket: { material: 'xlpe', wall: 'thin' },
        colour: { base: 'red' },
      },
      from: { nodeId: 'X32', cavity: '2' },
      to: { nodeId: 'X31', cavity: '3' },
      runIds: ['R1', 'R2'],
    };
    const [headers, ...lines] = writeCavities({ ...BARE_TREE, circuits: [circuit] }, [x31!]);
    const cell = (line: string[], header: string): string => line[headers!.indexOf(header)]!;
    expect(lines.map((line) => cell(line, 'Cavity'))).toEqual(Array.from({ length: 14 }, (_, at) => String(at + 1)));
    const [, , third] = lines;
    expect(['Circuit', 'To connector', 'To cavity', 'Size', 'Size mm²'].map((header) => cell(third!, header))).toEqual([
      '1',
      'X32',
      '2',
      'AWG 16',
      '1.309',
    ]);
    expect(cell(lines[3]!, 'Function')).toBe('empty');
  });
});

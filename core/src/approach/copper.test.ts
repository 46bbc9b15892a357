import { describe, expect, it, test } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { Feature } from '../harness/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { runOf, wire } from '../test/samples.ts';
import { isCutAnyway, jacketClusters, lostOf, takenByOne } from './copper.ts';
import { freeWireBeside } from './freeWire.ts';
import { aloneOnWire, type DecideInput, type WorkShare } from './types.ts';

const found = (id: string, kind: Finding['kind'], fromMm: number, toMm: number, more: object = {}): Finding =>
  ({ id, kind, circuitId: 'C1', runId: 'R1', fromMm, toMm, cutBackLeftMm: 0, cutBackRightMm: 0, ...more }) as Finding;
const HINGE: Feature = { kind: 'flex', name: 'Boom hinge', fromMm: 400, toMm: 500 };
/** What copper questions read of a decision. */
const input = (finding: Finding, more: Partial<DecideInput> = {}): DecideInput =>
  ({
    finding,
    siblings: [finding],
    redos: [],
    share: aloneOnWire(finding),
    run: runOf({ features: [HINGE] }),
    practice: CRIMP_FIRST,
    ...more,
  }) as DecideInput;

describe('a sleeve can be slid on where the wire is cut anyway', () => {
  const rubbed = found('F1', 'jacketRubbed', 100, 120);
  test.each<[string, Finding, boolean]>([
    ['cut elsewhere on the run', found('F2', 'parted', 700, 710), true],
    ['on another circuit', found('F2', 'parted', 700, 710, { circuitId: 'C2' }), false],
    ['on another run', found('F2', 'parted', 700, 710, { runId: 'R2' }), false],
    [
      'strands, which may be covered',
      found('F2', 'strandsLost', 700, 710, { strandsLost: 1, strandsTotal: 19 }),
      false,
    ],
    ['at a cavity', found('F2', 'terminalDamaged', 999, 1000, { at: { nodeId: 'X2', cavity: '1' } }), false],
    ['another jacket that is covered', found('F2', 'jacketRubbed', 700, 750), false],
    ['a jacket too long to be covered', found('F2', 'jacketRubbed', 700, 750.1), true],
    ['a jacket in a stretch that bends', found('F2', 'jacketRubbed', 490, 510), true],
    ['one that ends where it begins to bend', found('F2', 'jacketRubbed', 380, 400), false],
    ['one that begins where it ends', found('F2', 'jacketRubbed', 500, 520), false],
  ])('%s', (_where, other, expected) =>
    expect(isCutAnyway(input(rubbed, { siblings: [rubbed, other] }))).toBe(expected),
  );
  it('a finding is no cut for itself', () => {
    const parted = found('F1', 'parted', 700, 710);
    expect(isCutAnyway(input(parted))).toBe(false);
  });
});

describe('what is lost', () => {
  const cut = found('F1', 'parted', 500, 510, { cutBackLeftMm: 4, cutBackRightMm: 6 });
  const share = (more: Partial<WorkShare>): Partial<DecideInput> => ({ share: { ...aloneOnWire(cut), ...more } });
  const redo = (findingId: string, lostFromMm: number, lostToMm: number) => ({
    id: `${findingId} ${lostFromMm}`,
    findingId,
    lostFromMm,
    lostToMm,
    because: '',
    by: 'Ines',
    at: '2030-01-01T08:00:00Z',
  });
  const repair = {
    id: 'E',
    circuitId: 'C1',
    runId: 'R1',
    kind: 'splice',
    diameterMm: 5,
    words: 'sealed butt',
  } as const;
  test.each<[string, DecideInput, number, number]>([
    ['with its cut-back', input(cut), 496, 516],
    ['with what goes along', input(cut, share({ takes: [found('F2', 'corroded', 530, 540)] })), 496, 540],
    [
      'not with what lies at a cavity',
      input(cut, share({ takes: [found('F2', 'terminalDamaged', 999, 1000, { at: { nodeId: 'X2', cavity: '1' } })] })),
      496,
      516,
    ],
    ['with an earlier repair', input(cut, share({ cutsOut: [{ ...repair, fromMm: 450, toMm: 486 }] })), 450, 516],
    ['what its last redo has taken', input(cut, { redos: [redo('F1', 490, 520), redo('F1', 480, 530)] }), 480, 530],
    ['no other finding’s redo', input(cut, { redos: [redo('F2', 100, 900)] }), 496, 516],
    [
      'nothing but the cut-back about its middle, where a wire is added',
      input(found('F1', 'addCircuit', 500, 510, { cutBackLeftMm: 1, cutBackRightMm: 2, branchWires: [wire(1)] })),
      504,
      507,
    ],
  ])('%s', (_what, of, fromMm, toMm) => expect(lostOf(of)).toEqual({ fromMm, toMm }));
});

describe('jackets that are through near each other', () => {
  const at = (...places: readonly (readonly [number, number])[]) =>
    places.map(([from, to], index) => found(`F${index + 1}`, 'jacketRubbed', from, to));
  const groups = (findings: readonly Finding[]) =>
    jacketClusters(findings, CRIMP_FIRST).map((group) => group.map(({ id }) => id));
  it('from the start of the first to the end of the second, the limit itself included', () => {
    expect(groups(at([100, 110], [190, 200]))).toEqual([['F1', 'F2']]);
    expect(groups(at([100, 110], [190, 200.1]))).toEqual([['F1'], ['F2']]);
  });
  it('one may join two groups that were apart', () =>
    expect(groups(at([100, 110], [260, 270], [180, 190]))).toEqual([['F1', 'F2', 'F3']]));
  it('what is no jacket joins nothing', () =>
    expect(groups([found('F1', 'parted', 100, 110), ...at([120, 130])])).toEqual([['F1'], ['F1']]));
  it('say which work takes one away', () => {
    const [first, second] = at([100, 110], [190, 200]);
    expect(takenByOne(second!, first!)).toBe('It is cut out together with the place before it.');
    const lies =
      'It lies on the stretch that is replaced for “wire cut or a length missing” at 300 mm, and goes with it.';
    expect(takenByOne(second!, found('F9', 'parted', 300, 310))).toBe(lies);
    expect(takenByOne(found('F9', 'corroded', 190, 200), first!)).toContain('jacket rubbed');
  });
});

describe('free wire beside a loss', () => {
  const stop = (kind: Feature['kind'], fromMm: number, toMm: number): Feature => ({ kind, name: kind, fromMm, toMm });
  test.each<[string, readonly Feature[], number, number]>([
    ['to the run’s ends', [], 400, 590],
    ['to a branch and a grommet', [stop('branch', 300, 310), stop('grommet', 700, 710)], 90, 290],
    ['to the nearest of several', [stop('branch', 100, 110), stop('branch', 300, 310)], 90, 590],
    ['a clip stops no tube', [stop('clip', 390, 400), stop('clip', 410, 420)], 400, 590],
    ['none where it lies against one on both sides', [stop('branch', 390, 400), stop('grommet', 410, 420)], 0, 0],
    ['one that lies within the loss stops nothing', [stop('grommet', 402, 408)], 400, 590],
  ])('%s', (_where, features, freeLeftMm, freeRightMm) =>
    expect(freeWireBeside(runOf({ features }), { fromMm: 400, toMm: 410 })).toEqual({ freeLeftMm, freeRightMm }),
  );
});

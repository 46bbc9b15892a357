import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, partsOf } from '../../catalogue/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import type { ConnectorKitPart } from '../../stock/index.ts';
import { jobWith, wire } from '../../test/samples.ts';
import { familyAsks, hasWays, isOfFamily, lackFor, otherConnector, type OldWire } from './belongs.ts';
import { isKitFor, kitBar, notOutOf, shelfOfKit } from './kit.ts';

const X2: HarnessNode = { id: 'X2', kind: 'connector', name: 'X2' };
const of = (identity: HarnessNode['identity'], more: Partial<HarnessNode> = {}): HarnessNode => ({
  ...X2,
  ...(identity ? { identity } : {}),
  ...more,
});
/** A whole kit for 2 ways of the 1.5 terminal: 0.5–1.5 mm², jackets and seals 1.2–2.4 mm. */
const KIT = partsOf(FULL_SHELF.parts, 'connectorKit').find(({ ways }) => ways === 2)!;
const kit = (more: Partial<ConnectorKitPart> = {}): ConnectorKitPart => ({ ...KIT, id: 'k', name: 'Kit K', ...more });
const wires = (...areas: readonly number[]): readonly OldWire[] =>
  jobWith([], { circuits: areas.map((area) => ({ wire: wire(area) })) }).harness.circuits.map((circuit, index) => ({
    circuit,
    cavity: String(index + 1),
    placeC: 60,
  }));
const noted = (...terminals: readonly ('1.5' | '2.8' | undefined)[]): HarnessNode =>
  of(undefined, {
    fittings: Object.fromEntries(
      terminals.flatMap((terminal, index) => (terminal ? [[String(index + 1), { terminal }]] : [])),
    ),
  });

describe('whether a part goes into the mate of a connector', () => {
  test.each<[string, Partial<ConnectorKitPart>, HarnessNode['identity'], boolean | undefined]>([
    ['one family', { family: 'KD' }, { family: 'kd' }, true],
    ['two families', { family: 'KD' }, { family: 'VF' }, false],
    [
      'the same part number, whatever is said of the family',
      { family: 'KD', partNumber: 'K-2' },
      { family: 'VF', partNumber: 'k2' },
      true,
    ],
    [
      'other part numbers of one family',
      { family: 'KD', partNumber: 'K-2' },
      { family: 'KD', partNumber: 'K-4' },
      true,
    ],
    ['the part does not say', {}, { family: 'KD' }, undefined],
    ['the connector does not say', { family: 'KD' }, undefined, undefined],
  ])('%s', (_, part, identity, known) => expect(isOfFamily(kit(part), of(identity))).toBe(known));
  test.each<[string, Partial<ConnectorKitPart>, HarnessNode['identity'], ReturnType<typeof otherConnector>]>([
    ['nothing known', {}, undefined, undefined],
    ['one family, one keying', { family: 'KD', keying: 'A' }, { family: 'KD', keying: 'a' }, undefined],
    ['one family, keying not noted', { family: 'KD', keying: 'A' }, { family: 'KD' }, undefined],
    [
      'another family',
      { family: 'VF' },
      { family: 'KD' },
      {
        ruleId: 'way.otherFamily',
        because: 'Kit K is of family VF, X2 is of KD: it does not go into the mate.',
        allowedIf: 'it were of family KD',
      },
    ],
    [
      'another keying',
      { family: 'KD', keying: 'B' },
      { family: 'KD', keying: 'A' },
      {
        ruleId: 'way.otherKeying',
        because: 'Kit K has keying B, X2 has A: the mate keeps it out.',
        allowedIf: 'it had keying A',
      },
    ],
  ])('%s: what is said against it', (_, part, identity, bar) =>
    expect(otherConnector(kit(part), of(identity))).toEqual(bar),
  );
  test.each<[string, number, number | undefined, number, boolean]>([
    ['as many cavities', 4, 4, 2, true],
    ['more than it has', 6, 4, 2, false],
    ['fewer than it has', 2, 4, 2, false],
    ['not counted: enough for its wires', 2, undefined, 2, true],
    ['not counted: more than enough', 6, undefined, 2, true],
    ['not counted: too few for its wires', 2, undefined, 3, false],
  ])('%s', (_, ways, counted, count, does) =>
    expect(hasWays(kit({ ways }), of(undefined, counted === undefined ? {} : { ways: counted }), count)).toBe(does),
  );
});

describe('what is asked, and ordered, of a part whose family is not known', () => {
  it('of the connector first', () =>
    expect(familyAsks(kit(), X2)).toEqual([
      {
        does: 'note',
        words:
          'Which family is X2? Read it off the housing: parts fit by family, and not by the number of their cavities',
        at: { on: 'node', nodeId: 'X2', field: 'family' },
      },
    ]));
  it('then of the part', () =>
    expect(familyAsks(kit(), of({ family: 'KD' }))).toEqual([
      {
        does: 'note',
        words: 'Is Kit K of family KD? Try it on the mate of X2, then note its family on the shelf',
        at: { on: 'shelf', name: 'Kit K' },
      },
    ]));
  it.each([['KD'], ['VF']])('nothing where both are known: %s', (family) =>
    expect(familyAsks(kit({ family }), of({ family: 'KD' }))).toEqual([]),
  );
  test.each<[string, Partial<ConnectorKitPart>, HarnessNode['identity'], string]>([
    ['neither says', {}, undefined, ''],
    ['the part says', { family: 'KD', keying: 'A' }, { family: 'KD', keying: 'A' }, ''],
    ['the connector says', {}, { family: 'KD', keying: 'A' }, ', family KD, keying A'],
    ['one each', { family: 'KD' }, { family: 'KD', keying: 'A' }, ', keying A'],
    ['the part’s keying stands', { keying: 'B' }, { family: 'KD', keying: 'A' }, ', family KD'],
  ])('%s', (_, part, identity, more) => {
    const plain = lackFor(kit(part), X2).fits ?? '';
    expect(lackFor(kit(part), of(identity))).toEqual({ name: 'Kit K', number: 1, fits: `${plain}${more}` });
  });
});

describe('a whole connector kit', () => {
  test.each<[string, ConnectorKitPart, HarnessNode, number, boolean]>([
    ['of its family', kit({ family: 'KD' }), of({ family: 'KD' }), 2, true],
    ['nothing known', kit(), X2, 2, false],
    [
      'of another family, with its terminals',
      kit({ family: 'VF' }),
      { ...noted('1.5', '1.5'), identity: { family: 'KD' } },
      2,
      true,
    ],
    ['with the terminals of all its cavities', kit(), noted('1.5', '1.5'), 2, true],
    ['with those of one cavity, the other not noted', kit(), noted('1.5', undefined), 2, false],
    ['with those of one cavity, another in the other', kit(), noted('1.5', '2.8'), 2, false],
    ['a connector without a wire', kit(), noted('1.5'), 0, false],
  ])('is known to be for it: %s', (_, of2, node, count, does) =>
    expect(isKitFor(of2, node, wires(1, 1).slice(0, count))).toBe(does),
  );
  test.each<[string, ConnectorKitPart, HarnessNode, readonly number[], ReturnType<typeof kitBar>]>([
    ['everything fits', kit(), noted('1.5', '1.5'), [1, 1], undefined],
    ['nothing noted of its terminals', kit(), X2, [1], undefined],
    [
      'another terminal in the second cavity',
      kit(),
      noted('1.5', '2.8'),
      [1, 1],
      {
        ruleId: 'way.noHousing',
        because: 'Kit K takes the 1.5 mm terminal; cavity 2 of X2 has the 2.8 mm terminal.',
      },
    ],
    [
      'copper too thick for its terminals',
      kit(),
      X2,
      [1, 2.5],
      {
        ruleId: 'way.terminalUnknown',
        because: 'Kit K: its terminals hold 0.5–1.5 mm², and cavity 2 has 2.5.',
      },
    ],
    [
      'a jacket too thick for its terminals',
      kit({ jacketMm: { minMm: 1, maxMm: 1.5 } }),
      X2,
      [1],
      { ruleId: 'way.terminalUnknown', because: 'Kit K takes jackets of 1–1.5 mm, and cavity 1 has 2.09.' },
    ],
    [
      'a jacket too thick for its seals',
      kit({ jacketMm: undefined, sealMm: { minMm: 1, maxMm: 1.8 } }),
      X2,
      [1],
      { ruleId: 'way.terminalUnknown', because: 'Kit K takes jackets of 1–1.8 mm, and cavity 1 has 2.09.' },
    ],
    ['no seals, no wings: any jacket', kit({ jacketMm: undefined, sealMm: undefined }), X2, [1], undefined],
  ])('takes its wires: %s', (_, of2, node, areas, bar) => expect(kitBar(of2, node, wires(...areas))).toEqual(bar));
  it('what is fitted out of it are its own terminals and seals, and no others', () => {
    const shelf = shelfOfKit(kit(), FULL_SHELF);
    expect(partsOf(shelf.parts, 'terminal')).toEqual([
      {
        kind: 'terminal',
        id: 'k/terminal',
        name: '1.5 mm terminal out of the kit',
        family: '1.5',
        range: { minMm2: 0.5, maxMm2: 1.5 },
        jacketMm: { minMm: 1.2, maxMm: 2.4 },
        stripMm: 4.5,
        quantity: 1,
        ratedC: 125,
        figuresFrom: 'usual',
      },
    ]);
    expect(partsOf(shelf.parts, 'wireSeal')).toEqual([
      {
        kind: 'wireSeal',
        id: 'k/seal',
        name: 'wire seal out of the kit',
        jacketMm: { minMm: 1.2, maxMm: 2.4 },
        quantity: 1,
        ratedC: 125,
        figuresFrom: 'usual',
      },
    ]);
    expect(partsOf(shelf.parts, 'sleeve')).toEqual(partsOf(FULL_SHELF.parts, 'sleeve'));
    expect(shelf.tools).toBe(FULL_SHELF.tools);
  });
  it('a kit without seals leaves the seals of the shelf', () =>
    expect(partsOf(shelfOfKit(kit({ sealMm: undefined }), FULL_SHELF).parts, 'wireSeal')).toEqual(
      partsOf(FULL_SHELF.parts, 'wireSeal'),
    ));
  it('what comes out of it is not taken from the shelf', () =>
    expect(notOutOf(kit(), ['k/terminal', 'sleeve-x', 'k/seal', 'k'])).toEqual(['sleeve-x', 'k']));
});

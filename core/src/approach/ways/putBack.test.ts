import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { CavityFinding, CavityFindingKind } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { DRY_CABIN, wire } from '../../test/samples.ts';
import { at as foundAt } from '../test/atCavity.ts';
import { electrical, inputOf, type InputOf } from '../test/input.ts';
import type { Redo } from '../redoTypes.ts';
import type { WorkShare } from '../types.ts';
import { lostAt, type At } from './at.ts';
import { refit, solderToPin } from './putBack.ts';
import { newTerminalWay } from './tail.ts';

interface Of extends InputOf {
  readonly node?: Partial<HarnessNode> | null;
  readonly more?: object;
  readonly redos?: readonly Partial<Redo>[];
  readonly share?: Partial<WorkShare>;
  readonly atStart?: boolean;
}
/** A finding at cavity 1 of X2, or of X1 at the start of the run. */
function atOf(kind: CavityFindingKind, { node = {}, more = {}, redos = [], share = {}, atStart, ...of }: Of = {}): At {
  const base = inputOf(of);
  const finding = foundAt(kind, {
    ...more,
    ...(atStart ? { at: { nodeId: 'X1', cavity: '1' } } : {}),
  }) as CavityFinding;
  return {
    input: { ...base, finding, redos: redos as readonly Redo[], share: { ...base.share, ...share } },
    finding,
    node: node === null ? undefined : { id: 'X2', kind: 'connector', name: 'X2', ...node },
    electrical: electrical(base),
  };
}
const stock = (...ids: readonly string[]): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (ids.some((id) => part.id.startsWith(id)) ? { ...part, quantity: 0 } : part)),
});

describe('a lock piece is put back', () => {
  const piece = (id: string, more: object) =>
    ({
      kind: 'lockPiece',
      id,
      name: `Piece ${id}`,
      lock: 'frontLance',
      ways: 2,
      quantity: 1,
      ratedC: 125,
      figuresFrom: 'stamped',
      ...more,
    }) as Catalogue['parts'][number];
  const taken = (node: Partial<HarnessNode>, ...pieces: readonly ReturnType<typeof piece>[]) => {
    const parts = [...stock('lockPiece').parts, ...pieces];
    const { decided } = refit(atOf('lockLost', { node, catalogue: { ...FULL_SHELF, parts } }));
    return decided.cavity?.sharedPartIds;
  };
  const KD: Partial<HarnessNode> = { lock: 'frontLance', ways: 2, identity: { family: 'KD' } };
  test.each<[string, readonly string[], Partial<HarnessNode>, ReturnType<typeof piece>[]]>([
    ['of its lock', ['b'], KD, [piece('a', { lock: 'ring', quantity: 9 }), piece('b', {})]],
    ['of its ways', ['b'], KD, [piece('a', { ways: 4, quantity: 9 }), piece('b', {})]],
    ['of any ways where nobody counted them', ['a'], { ...KD, ways: undefined }, [piece('a', { ways: 4 })]],
    ['not of another family', ['b'], KD, [piece('a', { family: 'VF', quantity: 9 }), piece('b', {})]],
    ['known to be of its family first', ['b'], KD, [piece('a', { quantity: 9 }), piece('b', { family: 'KD' })]],
    ['else the one of which there is most', ['b'], KD, [piece('a', {}), piece('b', { quantity: 2 })]],
  ])('%s', (_, ids, node, pieces) => expect(taken(node, ...pieces)).toEqual(ids));
  it('its lock not noted: it cannot be named, and nothing is ordered', () => {
    const of = (node: Partial<HarnessNode> | null) => refit(atOf('lockLost', { node }));
    expect(of({}).way).toMatchObject({
      ruleId: 'way.lockUnknown',
      lacks: [],
      because:
        'Nobody has noted how X2 holds its terminals, so the lock piece cannot be named: note it, or put the old piece back.',
    });
    expect(of(null).way.because).toMatch(/^Nobody has noted how the connector holds/);
    expect(of({}).decided.cavity?.sharedPartIds).toEqual([]);
  });
});

describe('soldered to the pin and potted', () => {
  const COST = {
    splices: 0,
    minutes: 12,
    wireMm: 3,
    parts: ['Solder tin-silver-copper, rosin core', 'Potting compound, two parts'],
  };
  const pin = (of: Of = {}) => solderToPin(atOf('noMatingPart', of));
  it('allowed wherever no vapour can be: solder, compound, an iron big enough', () => {
    const { way, decided } = pin();
    expect(way).toMatchObject({
      way: 'solderToPin',
      status: 'allowed',
      ruleId: 'way.solderToPin',
      cost: COST,
      lacks: [],
    });
    expect(decided.cavity).toMatchObject({
      acts: ['solderToPin'],
      partIds: ['solder-leadFree', 'potting'],
      toolNames: ['Soldering iron 70 W'],
    });
  });
  it('the iron goes by the copper, never by its line on the shelf', () => {
    const iron = (areaMm2: number, tools = FULL_SHELF.tools) =>
      pin({ circuits: [{ wire: wire(areaMm2) }], catalogue: { ...FULL_SHELF, tools } }).decided.cavity?.toolNames;
    expect([iron(2.5), iron(4)]).toEqual([['Soldering iron 70 W'], ['Soldering iron 140 W']]);
    expect(iron(1, [...FULL_SHELF.tools].reverse())).toEqual(iron(1));
  });
  it('what is not there is ordered: solder with a rosin core, compound, an iron', () => {
    const acid: Catalogue = {
      ...stock('solder', 'potting'),
      tools: [],
      parts: stock('solder', 'potting').parts.map((part) =>
        part.id === 'solder-tinLead' ? ({ ...part, core: 'acid', quantity: 5 } as typeof part) : part,
      ),
    };
    const { way, decided } = pin({ catalogue: acid });
    expect(way).toMatchObject({ status: 'shelf', cost: COST });
    expect(way.lacks.map(({ name }) => name)).toEqual([...COST.parts, 'a soldering iron']);
    expect(way.because).toMatch(/^Not on the shelf: Solder tin-silver-copper/);
    expect(decided.cavity?.toolNames).toEqual([]);
  });
  it('never of aluminium, never in vapour', () => {
    expect(
      pin({ circuits: [{ wire: wire(4, { conductor: { kind: 'stranded', metal: 'aluminium' } }) }] }).way,
    ).toMatchObject({
      status: 'refused',
      ruleId: 'wire.aluminium',
      lacks: [],
    });
    expect(pin({ zone: { ...DRY_CABIN, fuelVapour: true }, catalogue: stock('solder') }).way).toMatchObject({
      status: 'refused',
      ruleId: 'vapour.iron',
      lacks: [],
    });
  });
});

describe('a new terminal on its tail', () => {
  const FIT = { toolNames: [], lacks: [], warnings: [], ranked: [], terminal: { stripMm: 5, partName: 'T' } as never };
  const way = (of: Of & { readonly slackMm?: number; readonly alsoMm?: number; readonly fit?: object } = {}) => {
    const { slackMm = 30, alsoMm = 0, fit = {}, ...rest } = of;
    const { input, finding } = atOf('terminalDamaged', { ...rest, share: { slackMm, ...rest.share } });
    return newTerminalWay(input, finding, { ...FIT, ...fit }, alsoMm);
  };
  test.each<[string, Parameters<typeof way>[0], number, string]>([
    ['its strip and 2 mm', {}, 7, 'strip 5 + 2 = 7 mm'],
    [
      'and what is cut back on both sides',
      { more: { cutBackLeftMm: 4, cutBackRightMm: 3 } },
      14,
      'strip 5 + 2 + 7 lost = 14 mm',
    ],
    [
      'once more for each that was cut off again',
      { redos: [{ findingId: 'F1' }, { findingId: 'F1' }, { findingId: 'F9' }] },
      21,
      'strip 5 + 2 + 14 lost = 21 mm',
    ],
    [
      'with a loss beside it that goes further',
      { alsoMm: 12, more: { cutBackLeftMm: 4 } },
      19,
      'strip 5 + 2 + 12 lost = 19 mm',
    ],
    ['not known: the usual strip', { fit: { terminal: undefined } }, 9, 'strip 7 + 2 = 9 mm'],
  ])('takes %s', (_, of, takesMm, sum) => {
    const made = way(of);
    expect(made.takesMm).toBe(takesMm);
    expect(made.way).toMatchObject({
      status: 'allowed',
      ruleId: 'way.newTerminal',
      cost: { wireMm: takesMm, minutes: 6 },
    });
    expect(made.way.because).toContain(`takes ${sum}: no splice.`);
  });
  it('as much as the tail gives will do; a millimetre less will not', () => {
    expect(way({ slackMm: 7 }).way.status).toBe('allowed');
    expect(way({ slackMm: 6 }).way).toMatchObject({
      status: 'refused',
      ruleId: 'way.tailTooShort',
      allowedIf: 'the tail gave 7 mm',
      because: 'A new terminal takes strip 5 + 2 = 7 mm of the tail, which gives only 6.',
    });
    expect(way({ slackMm: 0, share: { slackKnown: false } }).way.because).toBe(
      'A new terminal takes strip 5 + 2 = 7 mm of the tail, and nobody has measured what it gives: unknown counts as 0.',
    );
  });
  it('refused, not known, not there: said in that order', () => {
    const refused = { ruleId: 'end.amps', because: 'Too much.', allowedIf: 'less' };
    const lacks = [{ name: 'T', number: 1 }];
    expect(way({ fit: { refused, unknown: 'Which?', family: '2.8', lacks } }).way).toMatchObject({
      status: 'refused',
      ruleId: 'end.amps',
      because: 'Too much.',
    });
    expect(way({ fit: { unknown: 'Which?', family: '2.8', lacks } }).way).toEqual({
      way: 'newTerminal',
      status: 'shelf',
      ruleId: 'way.terminalUnknown',
      because: 'Which?',
      lacks,
      cost: { splices: 0, minutes: 6, wireMm: 7, parts: ['T'] },
    });
    expect(way({ fit: { lacks } }).way).toMatchObject({ status: 'shelf', ruleId: 'shelf.part', lacks });
    expect(way({ fit: { unknown: 'Which?' } }).way.status).toBe('allowed');
  });
});

describe('what is lost of the wire at its cavity', () => {
  const lost = (of: Of) => lostAt(atOf('terminalDamaged', of));
  const cut = { cutBackLeftMm: 8, cutBackRightMm: 4 };
  const takes = [{ ...foundAt('cutFlush'), kind: 'parted', at: undefined, fromMm: 960, toMm: 970 }] as never;
  const cutsOut = [{ fromMm: 900, toMm: 930 }] as never;
  test.each<[string, Of, { fromMm: number; toMm: number }]>([
    ['nothing yet', {}, { fromMm: 1000, toMm: 1000 }],
    ['cut back, at the end', { more: cut }, { fromMm: 988, toMm: 1000 }],
    ['cut back, at the start', { more: cut, atStart: true }, { fromMm: 0, toMm: 12 }],
    [
      'what the last redo took',
      {
        more: cut,
        redos: [
          { findingId: 'F1', lostFromMm: 950 },
          { findingId: 'F1', lostFromMm: 940 },
          { findingId: 'F9', lostFromMm: 800 },
        ],
      },
      { fromMm: 940, toMm: 1000 },
    ],
    [
      'what the last redo took, at the start',
      { more: cut, atStart: true, redos: [{ findingId: 'F1', lostToMm: 60 }] },
      { fromMm: 0, toMm: 60 },
    ],
    ['a loss on its way', { more: cut, share: { takes } }, { fromMm: 960, toMm: 1000 }],
    ['an earlier repair on its way', { share: { takes, cutsOut } }, { fromMm: 900, toMm: 1000 }],
    ['an earlier repair, at the start', { atStart: true, share: { cutsOut } }, { fromMm: 0, toMm: 930 }],
  ])('%s', (_, of, stretch) => expect(lost(of)).toEqual(stretch));
});

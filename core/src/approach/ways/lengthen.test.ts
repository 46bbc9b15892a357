import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../../catalogue/index.ts';
import type { Feature } from '../../harness/index.ts';
import { wire } from '../../test/samples.ts';
import type { Redo } from '../redoTypes.ts';
import type { DecideInput } from '../types.ts';
import { at } from '../test/atCavity.ts';
import { electrical, inputOf, type InputOf } from '../test/input.ts';
import { leadFrom } from './lead.ts';
import { extendWay } from './lengthen.ts';

const clip = (fromMm: number, toMm: number): readonly Feature[] => [{ kind: 'clip', name: 'Clip', fromMm, toMm }];
const short = (id: string, shortByMm: number) => at('tooShort', { id, shortByMm });

/** The lead of 1.5 mm² at X2 that lacks so much, on a run of 1000 between sealed butts of 36 with 40 between. */
function extended(byMm: number, of: InputOf = {}, more: Partial<DecideInput> = {}, redo?: Redo, atStart = false) {
  const input = { ...inputOf({ ...of, finding: { ...short('F1', byMm), ...of.finding } }), ...more };
  const lost = atStart ? { fromMm: 0, toMm: 1 } : { fromMm: 999, toMm: 1000 };
  const { site } = leadFrom(input, electrical(input), lost, atStart, 0);
  return extendWay(input, { ...site, lead: undefined }, 'X2', byMm, atStart, redo);
}
const GROWS = (byMm: number) =>
  `Cut once, and ${byMm} mm more between two splices, same colour, never smaller. Main run grows from 1000 to ${1000 + byMm} mm.`;

test('where a part was moved it is said how far, and not where a sensor was turned', () => {
  expect(extended(160, { finding: { ...short('F1', 160), sort: 'moved' } }).way.because).toBe(
    `The part moved 160 mm away. ${GROWS(160)}`,
  );
  expect(extended(160, { finding: { ...short('F1', 160), sort: 'turned' } }).way.because).toBe(GROWS(160));
});

describe('a lead made longer is cut once, 75 mm and half a body from its connector', () => {
  // 1160 − 75 − 18 − 160 = 907: the far body ends 75 from the connector, where there is room to work.
  it('160 mm: nothing is thrown away', () => {
    const { way, site, lengthens, method } = extended(160);
    expect(way).toEqual({
      way: 'extend',
      status: 'allowed',
      ruleId: 'way.extend',
      because: GROWS(160),
      cost: { splices: 2, minutes: 10, wireMm: 160, parts: ['Sealed butt, middle'] },
      lacks: [],
    });
    expect(site).toMatchObject({
      lost: { fromMm: 907, toMm: 907 },
      twoRequired: true,
      freeLeftMm: 907,
      freeRightMm: 93,
    });
    expect([lengthens, method?.methodId]).toEqual([{ byMm: 160 }, 'sealedButt']);
  });
  it('at the start of its run: 75 + 18', () =>
    expect(extended(160, {}, {}, undefined, true).site.lost).toEqual({ fromMm: 93, toMm: 93 }));
  // Two bodies of 36 with 40 between and the stop of their barrels: 77.
  test.each([
    [77, { fromMm: 907, toMm: 907 }, 77, GROWS(77)],
    [76, { fromMm: 906, toMm: 907 }, 77, `${GROWS(76)} 1 mm of old wire goes, so that both splices have room.`],
    [10, { fromMm: 840, toMm: 907 }, 77, `${GROWS(10)} 67 mm of old wire goes, so that both splices have room.`],
  ])('%d mm: as much old wire goes as both bodies need', (byMm, lost, wireMm, because) =>
    expect(extended(byMm)).toMatchObject({ site: { lost }, way: { because, cost: { wireMm } } }),
  );
});

describe('where its cut lies', () => {
  // The clip keeps 25: the left body has to end at 875, and the right one before the clip as it moves on by 160: 1035.
  test.each([
    ['beside a clip', clip(900, 910), 857],
    ['a clip a millimetre nearer', clip(899, 910), 856],
    // Body 889–925: a clip whose space ends at 889 leaves it where it is.
    ['a clip that lets it be', clip(854, 864), 907],
    ['a clip a millimetre too near', clip(854, 865), 811],
    // Right body 1049–1085 on the grown run: the clip lies beyond the cut and moves by 160, its space from 1085 on.
    ['beyond the cut, out of the way', clip(950, 960), 907],
    ['beyond the cut, a millimetre too near', clip(949, 960), 906],
  ])('%s', (_, features, fromMm) => expect(extended(160, { features }).site.lost.fromMm).toBe(fromMm));
  // 58 − 18 = 40 from the other connector; on a millimetre less a shorter body has to do.
  test.each([
    [151, 'sealedButt', 58],
    [150, 'cap', 65],
  ] as const)('a run of %d mm: by %s', (lengthMm, methodId, fromMm) =>
    expect(extended(160, { lengthMm })).toMatchObject({
      way: { status: 'allowed' },
      method: { methodId },
      site: { lost: { fromMm } },
    }),
  );
  it('a run of 60 mm has no room for any', () => {
    const { way, lengthens } = extended(160, { lengthMm: 60 });
    expect(way).toEqual({
      way: 'extend',
      status: 'refused',
      ruleId: 'place.noRoom',
      because: 'Main run is too short for two splices on each wire of this lead.',
      allowedIf: 'two splices found a legal place',
      cost: { splices: 2, minutes: 10, wireMm: 160, parts: ['Sealed butt, middle'] },
      lacks: [],
    });
    expect(lengthens).toBeUndefined();
  });
  it('the wires of one lead get one length and are cut at different places', () => {
    const [one, two, other] = [short('F1', 100), short('F2', 160), at('terminalDamaged', { id: 'F3' })];
    const foundAt = () => [other, one, two];
    // 36 + 40 from body to body: 907, then 831.
    expect(extended(100, {}, { foundAt })).toMatchObject({ lengthens: { byMm: 160 }, site: { lost: { fromMm: 907 } } });
    expect(extended(160, {}, { foundAt, finding: two })).toMatchObject({
      lengthens: { byMm: 160 },
      site: { lost: { fromMm: 831 } },
    });
  });
});

describe('a lead that cannot be made longer, or is made again', () => {
  it('a redo has taken what lay between its splices, less what the run grew', () => {
    const redo = { lostFromMm: 880, lostToMm: 1060 } as Redo;
    const { site, way, lengthens } = extended(160, {}, {}, redo);
    expect([site.lost, lengthens, way.because]).toEqual([{ fromMm: 880, toMm: 900 }, { byMm: 160 }, GROWS(160)]);
    expect(extended(160, {}, {}, { ...redo, lostToMm: 1000 }).site.lost).toEqual({ fromMm: 880, toMm: 880 });
  });
  it('a redo on a run that has become too short for a new cut is still made', () =>
    expect(extended(160, { lengthMm: 150 }, {}, { lostFromMm: 60, lostToMm: 230 } as Redo)).toMatchObject({
      way: { status: 'allowed', cost: { wireMm: 160 } },
      site: { lost: { fromMm: 60, toMm: 70 } },
    }));
  it('no method for its wire: refused by the rule that bars the first', () => {
    const { way, lengthens, method } = extended(160, { circuits: [{ wire: wire(200) }] });
    expect(way).toMatchObject({
      status: 'refused',
      ruleId: 'size.noPartHolds',
      cost: { splices: 2, wireMm: 160, parts: [] },
    });
    expect(way.because).toMatch(/200 mm²/);
    expect([lengthens, method]).toEqual([undefined, undefined]);
  });
  it('what is not on the shelf is ordered', () => {
    const catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) };
    const { way } = extended(160, { catalogue });
    expect(way).toMatchObject({ status: 'shelf', lacks: [{ name: 'Sealed butt, middle', number: 2 }] });
  });
});

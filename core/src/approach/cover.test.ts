import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue, type Part } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { DRY_CABIN } from '../test/samples.ts';
import { rankCovers, type CoverSite } from './cover.ts';

const SITE: CoverSite = { damageMm: 10, jacketMm: 2.8, freedEndMm: 5, zone: DRY_CABIN, placeC: 40, vapourAired: false };
const shelf = (change: (part: Part) => Part, more: Partial<Catalogue> = {}): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map(change),
  ...more,
});
const gone = (part: Part): Part => ({ ...part, quantity: 0 });
const covers = (more: Partial<CoverSite> = {}, catalogue = FULL_SHELF) =>
  rankCovers({ ...SITE, ...more }, CRIMP_FIRST, catalogue);
const order = (more: Partial<CoverSite> = {}, catalogue = FULL_SHELF): string =>
  covers(more, catalogue)
    .map(
      ({ coverId, status }) =>
        `${coverId.replace(/Cover|Wrap/, '')}${status === 'allowed' ? '' : status === 'shelf' ? '?' : '!'}`,
    )
    .join(' ');
const said = (id: string, more: Partial<CoverSite> = {}, catalogue = FULL_SHELF): string[] =>
  covers(more, catalogue)
    .find(({ coverId }) => coverId === id)!
    .hits.map(({ ruleId, verdict, overridable }) => `${ruleId} ${verdict}${overridable ? '' : ' hard'}`);

describe('covers in their order', () => {
  test.each<[string, Partial<CoverSite>, string]>([
    ['dry, an end freed', {}, 'sleeve cloth fusing'],
    ['dry, none freed', { freedEndMm: undefined }, 'cloth fusing sleeve!'],
    ['damp, an end freed', { zone: { ...DRY_CABIN, moisture: 'damp' } }, 'sleeve fusing cloth!'],
    ['wet, none freed', { freedEndMm: undefined, zone: { ...DRY_CABIN, moisture: 'wet' } }, 'fusing sleeve! cloth!'],
    ['vapour', { zone: { ...DRY_CABIN, fuelVapour: true } }, 'cloth fusing sleeve!'],
    [
      'vapour, aired and measured',
      { zone: { ...DRY_CABIN, fuelVapour: true }, vapourAired: true },
      'sleeve cloth fusing',
    ],
    ['a place of 105 °C', { placeC: 105 }, 'sleeve cloth fusing'],
    ['hotter than cloth stands', { placeC: 106 }, 'sleeve fusing cloth!'],
    ['hotter than a sleeve stands', { placeC: 126 }, 'fusing sleeve! cloth!'],
    ['hotter than all', { placeC: 181 }, 'sleeve! cloth! fusing!'],
    ['a connector that cannot be freed from its wire', { freedEndMm: 60 }, 'cloth fusing sleeve!'],
  ])('%s: %s', (_why, more, expected) => expect(order(more)).toBe(expected));
  it('what is not there is told from what is refused', () => {
    expect(order({}, shelf(gone))).toBe('sleeve? cloth? fusing?');
    expect(order({}, { ...FULL_SHELF, tools: [] })).toBe('cloth fusing sleeve?');
  });
});

describe('why', () => {
  test.each<[string, string, Partial<CoverSite>, Catalogue, readonly string[]]>([
    ['a sleeve that goes on', 'sleeveCover', {}, FULL_SHELF, []],
    ['no end freed', 'sleeveCover', { freedEndMm: undefined }, FULL_SHELF, ['cover.noFreeEnd refuse hard']],
    ['nothing passes', 'sleeveCover', { freedEndMm: 60 }, FULL_SHELF, ['sleeve.none refuse hard']],
    ['vapour', 'sleeveCover', { zone: { ...DRY_CABIN, fuelVapour: true } }, FULL_SHELF, ['vapour.hotAir refuse hard']],
    ['too hot', 'sleeveCover', { placeC: 126 }, FULL_SHELF, ['rated.under refuse hard']],
    [
      'no sleeve there',
      'sleeveCover',
      {},
      shelf((part) => (part.kind === 'sleeve' ? gone(part) : part)),
      ['shelf.part shelf'],
    ],
    ['no gun there', 'sleeveCover', {}, { ...FULL_SHELF, tools: [] }, ['shelf.tool shelf']],
    [
      'cloth in the damp',
      'clothWrap',
      { zone: { ...DRY_CABIN, moisture: 'damp' } },
      FULL_SHELF,
      ['cover.clothDamp refuse hard'],
    ],
    ['self-fusing in the damp', 'fusingWrap', { zone: { ...DRY_CABIN, moisture: 'damp' } }, FULL_SHELF, []],
    [
      'self-fusing in the wet',
      'fusingWrap',
      { zone: { ...DRY_CABIN, moisture: 'wet' } },
      FULL_SHELF,
      ['cover.fusingWet warn'],
    ],
    [
      'no tape there',
      'clothWrap',
      {},
      shelf((part) => (part.kind === 'tape' ? gone(part) : part)),
      ['shelf.part shelf'],
    ],
  ])('%s', (_what, id, more, catalogue, hits) => expect(said(id, more, catalogue)).toEqual(hits));
  it('the first that bars it is its reason; one that may be used says why it is good', () => {
    const because = (id: string, more: Partial<CoverSite> = {}) =>
      covers(more).find(({ coverId }) => coverId === id)!.because;
    expect(because('sleeveCover')).toMatch(/a sleeve over 10 mm of bare place needs no cut/);
    expect(because('sleeveCover', { freedEndMm: undefined })).toMatch(/No end of this wire can be freed/);
    expect(because('clothWrap')).toMatch(/^Dry here/);
    expect(because('fusingWrap')).toMatch(/^Fuses to itself/);
  });
});

describe('a cover as it is shown', () => {
  const of = (id: string, more: Partial<CoverSite> = {}, catalogue = FULL_SHELF) =>
    covers(more, catalogue).find(({ coverId }) => coverId === id)!;
  it('tape: its name, its part, no tool, nothing missing', () => {
    const shown = { status: 'allowed', toolNames: [], lacks: [], hits: [] };
    expect(of('clothWrap')).toMatchObject({
      ...shown,
      name: 'Cloth tape over the jacket',
      partId: 'tape-cloth',
      partName: 'Cloth tape',
    });
    expect(of('fusingWrap')).toMatchObject({
      ...shown,
      name: 'Self-fusing tape over the jacket',
      partId: 'tape-selfFusing',
      partName: 'Self-fusing tape',
    });
  });
  it('a sleeve: its name and part, and what is not there', () => {
    expect(of('sleeveCover')).toMatchObject({ name: 'Adhesive sleeve over the jacket', lacks: [], hits: [] });
    const none = of('sleeveCover', {}, { ...shelf(gone), tools: [] });
    expect(none.lacks.map(({ name }) => name)).toEqual([
      'Adhesive sleeve 6/2',
      'a hot-air gun to shrink a sleeve with',
    ]);
    expect(none).toMatchObject({ toolNames: [], because: 'Not on the shelf: Adhesive sleeve 6/2. It can be ordered.' });
    expect(of('sleeveCover', { freedEndMm: 60 })).toMatchObject({
      partId: undefined,
      partName: 'adhesive sleeve',
      lengthMm: 0,
      diameterMm: 2.8,
      lacks: [],
      because: 'No sleeve passes 60 mm and grips the 2.8 mm jacket.',
    });
  });
  it('of two tapes the thinner; of a kind that is refused the reason that bars it, not what was warned', () => {
    const thick = FULL_SHELF.parts.find(({ id }) => id === 'tape-selfFusing')!;
    const parts = [{ ...thick, id: 'a', name: 'Thick', thicknessMm: 0.8 } as Part, ...FULL_SHELF.parts];
    expect(of('fusingWrap', {}, { ...FULL_SHELF, parts }).partId).toBe('tape-selfFusing');
    expect(of('fusingWrap', { placeC: 181, zone: { ...DRY_CABIN, moisture: 'wet' } }).because).toMatch(
      /^Self-fusing tape is rated 180 °C/,
    );
  });
  it('damp, and nothing but cloth: the self-fusing one is ordered before cloth is refused', () =>
    expect(order({ freedEndMm: undefined, zone: { ...DRY_CABIN, moisture: 'damp' } }, shelf(gone))).toBe(
      'fusing? sleeve! cloth!',
    ));
});

describe('figures of a cover', () => {
  const [sleeve, cloth, fusing] = covers();
  it('a sleeve passes the freed end, grips the jacket, and lies over sound jacket on both sides', () => {
    expect(sleeve).toMatchObject({
      partId: 'sleeve-adhesive3to1-6',
      lengthMm: 38,
      toolNames: ['Hot-air gun with reflector'],
    });
    expect(sleeve!.diameterMm).toBeCloseTo(Math.sqrt(2.8 ** 2 + 4 * (2 + 1)), 9);
    expect(covers({ freedEndMm: 1 })[0]?.partId).toBe('sleeve-adhesive4to1-4');
  });
  it('tape lies in two layers', () => {
    expect(cloth!.diameterMm).toBeCloseTo(2.8 + 4 * 0.15, 9);
    expect(fusing!.diameterMm).toBeCloseTo(2.8 + 4 * 0.5, 9);
    expect(cloth!.lengthMm).toBeGreaterThan(fusing!.lengthMm);
  });
  it('a single wall only where it is dry and no adhesive one is there or stands the place', () => {
    const only = (keep: (part: Part) => boolean) =>
      shelf((part) => (part.kind === 'sleeve' && !keep(part) ? gone(part) : part));
    const single = only((part) => part.kind === 'sleeve' && part.series === 'single2to1');
    expect(covers({ freedEndMm: 3 }, single)[0]?.partId).toBe('sleeve-single2to1-4.8');
    const damp = covers({ freedEndMm: 3, zone: { ...DRY_CABIN, moisture: 'damp' } }, single);
    expect(damp.find(({ coverId }) => coverId === 'sleeveCover')).toMatchObject({
      status: 'shelf',
      partId: 'sleeve-adhesive4to1-4',
    });
    const hot = shelf((part) =>
      part.kind === 'sleeve' && part.series === 'single2to1' ? { ...part, ratedC: 150 } : part,
    );
    expect(covers({ freedEndMm: 3, placeC: 130 }, hot)[0]?.partId).toBe('sleeve-single2to1-4.8');
  });
});

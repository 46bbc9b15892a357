import { describe, expect, it } from 'vitest';
import { CRIMP_ONLY, CRIMP_FIRST } from '../practice/index.ts';
import { DRY_CABIN, onlyFinding, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import {
  compareMethods,
  methodBook,
  PREFERENCES,
  type RankedMethod,
  RULES,
  substituteFor,
  switchableRuleIds,
  whatItLoses,
} from './index.ts';
import type { MethodId } from '../family/index.ts';

const plan = (options: CaseOptions) =>
  onlyFinding({ kind: 'parted', slackMm: 60 }, { circuits: [{ wire: wire(1.5) }], ...options });
function of(id: MethodId, options: CaseOptions): RankedMethod {
  const method = plan(options).ranked.find((one) => one.methodId === id);
  if (!method) throw new Error(id);
  return method;
}

describe('two methods side by side', () => {
  it('figures of both, the rules that spoke, and what would have to change for the refused one', () => {
    const options = { zone: WET_SHAKING };
    const { figures, rules, aNeeds, bNeeds } = compareMethods(of('sealedButt', options), of('wrappedSolder', options));
    expect(figures.find((row) => row.name === 'Strip')).toEqual({ name: 'Strip', a: '7 mm', b: '15 mm' });
    expect(figures.find((row) => row.name === 'Seal')).toMatchObject({
      a: 'built in',
      b: expect.stringContaining('cut 47 mm') as string,
    });
    expect(rules.find((row) => row.ruleId === 'solder.vibrating')).toMatchObject({
      a: undefined,
      b: { because: expect.stringContaining('stiff end') as string },
    });
    expect(aNeeds).toEqual([]);
    expect(bNeeds.map((need) => need.words)).toContain('Allowed if the zone did not vibrate.');
    expect(bNeeds.every((need) => need.hard)).toBe(true);
  });
  it("a practice's refusal is not hard", () =>
    expect(
      compareMethods(of('sealedButt', { practice: CRIMP_ONLY }), of('wrappedSolder', { practice: CRIMP_ONLY })).bNeeds,
    ).toMatchObject([{ ruleId: 'practice.crimpOnly', hard: false }]));
  it('a method that holds nothing has no figures to show', () => {
    const { figures } = compareMethods(of('sealedButt', {}), of('stepDown', {}));
    expect(figures.find((row) => row.name === 'Part')).toMatchObject({ b: '' });
  });
});

describe('what to order, and what stands in for it', () => {
  const short = { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') };
  it('names the part, the substitutes in their order, and what each loses', () => {
    const substitute = substituteFor(plan(short).ranked);
    expect(substitute?.wanted.methodId).toBe('sealedButt');
    expect(substitute?.order).toEqual([{ name: 'Sealed butt, middle', number: 1, fits: '1.04–2.63 mm² an end' }]);
    expect(substitute?.instead.map(({ method }) => method.methodId)).toEqual([
      'clipSleeve',
      'plainSleeve',
      'multiClipSleeve',
    ]);
    expect(substitute?.instead[0]?.loses).toEqual([
      'the built-in seal: a sleeve has to be slid on first',

      'one step more',
      'one minute more',
    ]);
  });
  it('says nothing while the best is there', () =>
    expect(substituteFor(plan({ zone: WET_SHAKING }).ranked)).toBeUndefined());
  it('a second splice is a loss', () => {
    const tight = onlyFinding(
      { kind: 'parted', fromMm: 500, toMm: 510, slackMm: 12 },
      { circuits: [{ kind: 'lowLevel', wire: wire(0.5) }] },
    ).ranked;
    const [butt, clip] = ['sealedButt', 'clipSleeve'].map((id) => tight.find((one) => one.methodId === id)!);
    expect(whatItLoses(butt!, clip!)[0]).toBe('a second splice');
  });
});

describe('the rule book', () => {
  const book = methodBook();
  it('has every rule and preference with both reasons, and each only once', () => {
    expect(new Set(book.map((entry) => entry.id)).size).toBe(book.length);
    for (const rule of [...RULES, ...PREFERENCES])
      expect(
        book.find((entry) => entry.id === rule.id),
        rule.id,
      ).toBeDefined();
    for (const entry of book)
      expect([entry.title.length > 3, entry.because.length > 5, entry.source.length > 3], entry.id).toEqual([
        true,
        true,
        true,
      ]);
  });
  it('no refusal of every practice can be switched off', () => {
    for (const id of [
      'solder.vibrating',
      'vapour.iron',
      'tap.permanent',
      'rated.under',
      'seal.missing',
      'size.noPartHolds',
      'place.noRoom',
      'cap.place',
      'shelf.part',
      'prefer.fewestSplices',
    ])
      expect(switchableRuleIds(), id).not.toContain(id);
    const off = { ...CRIMP_FIRST, off: book.map((entry) => entry.id) };
    expect(of('wrappedSolder', { zone: WET_SHAKING, practice: off }).status).toBe('refused');
  });
  it('a preference that is off no longer decides', () => {
    const folded = {
      circuits: [
        { kind: 'signal' as const, wire: wire(0.5, { size: { basis: 'awg', awg: 20 }, conductor: { kind: 'solid' } }) },
      ],
      zone: DRY_CABIN,
    };
    expect(plan({ ...folded }).chosen).toBe('sealedButt');
    expect(
      plan({
        zone: { ...DRY_CABIN, moisture: 'damp' },
        practice: { ...CRIMP_FIRST, off: ['practice.solderStillAndDry'] },
      }).ranked.find((one) => one.methodId === 'wrappedSolder')?.status,
    ).toBe('allowed');
  });
});

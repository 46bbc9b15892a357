import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { familyOf, type MethodId } from '../family/index.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, onlyFinding, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import type { Finding } from '../damage/index.ts';
import { PREFERENCES, type RankedMethod } from './index.ts';

const ranked = (options: CaseOptions = {}, finding: Partial<Finding> = {}): readonly RankedMethod[] =>
  onlyFinding({ kind: 'parted', slackMm: 60, ...finding } as never, { circuits: [{ wire: wire(1.5) }], ...options })
    .ranked;
function of(id: MethodId, options: CaseOptions = {}, finding: Partial<Finding> = {}): RankedMethod {
  const one = ranked(options, finding).find(({ methodId }) => methodId === id);
  if (!one) throw new Error(id);
  return one;
}
const noTool = (task: string): Catalogue => ({
  ...FULL_SHELF,
  tools: FULL_SHELF.tools.filter(({ tasks }) => !tasks.includes(task as never)),
});

describe('the sentence that says why a method stands where it stands', () => {
  it('the first: why before the first one that is made another way', () => {
    const [best] = ranked({ zone: WET_SHAKING });
    expect(best).toMatchObject({ methodId: 'sealedButt', status: 'allowed' });
    expect(best?.because).toBe(best?.hits.find(({ verdict }) => verdict === 'prefer')?.because);
  });
  it('one after it: after which, in its own words, or what it has and lacks', () => {
    const [, second] = ranked({ zone: WET_SHAKING });
    expect(second?.status).toBe('allowed');
    expect(second?.because).toMatch(/^After [a-z]|, but /);
  });
  it('refused: the first refusal, whatever warned before it', () => {
    const one = of('wrappedSolder', { zone: WET_SHAKING });
    expect(one.status).toBe('refused');
    expect(one.because).toBe(one.hits.find(({ verdict }) => verdict === 'refuse')?.because);
    expect(one.hits.some(({ verdict }) => verdict === 'prefer')).toBe(false);
  });
  it('only not there: what is not', () => {
    const one = of('sealedButt', { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') });
    expect(one).toMatchObject({
      status: 'shelf',
      because: 'Not on the shelf: Sealed butt, middle. It can be ordered.',
    });
    expect(one.hits.some(({ verdict }) => verdict === 'prefer')).toBe(false);
  });
  it('the only one that is allowed says so', () => {
    const catalogue = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part) => (part.kind === 'sealedButt' ? part : { ...part, quantity: 0 })),
    };
    const all = ranked({ zone: WET_SHAKING, catalogue });
    expect(all.filter(({ status }) => status === 'allowed').map(({ methodId }) => methodId)).toEqual(['sealedButt']);
    expect(all[0]?.because).toBe('The only one that every rule allows here.');
  });
});

describe('below the first, a method is told about itself', () => {
  const PRAISE = /^(Its seal is built in|The run .+ and its seal is built in|A crimp is a cold weld|As sound, and)/;
  test.each<[string, CaseOptions]>([
    ['dry and still', { zone: DRY_CABIN }],
    ['dry and still, thin', { zone: DRY_CABIN, circuits: [{ wire: wire(0.5), kind: 'signal' }] }],
    ['wet and shaking', { zone: WET_SHAKING }],
    ['a bench that solders', { zone: DRY_CABIN, practice: BENCH_SOLDER }],
    ['a shop that only crimps', { zone: DRY_CABIN, practice: CRIMP_ONLY }],
  ])('%s: the praise of another is never said under its name', (_, options) => {
    const below = ranked(options).filter(({ status }, index) => index > 0 && status === 'allowed');
    expect(below.length).toBeGreaterThan(1);
    expect(below.filter(({ because }) => PRAISE.test(because)).map(({ name }) => name)).toEqual([]);
  });
  it('where the shop has every preference switched off, no one is called the only one', () => {
    const practice = { ...BENCH_SOLDER, off: PREFERENCES.map(({ id }) => id) };
    const allowed = ranked({ zone: DRY_CABIN, practice }).filter(({ status }) => status === 'allowed');
    expect(allowed.length).toBeGreaterThan(2);
    expect(new Set(allowed.map(({ because }) => because.replace(/from .+/, '')))).toEqual(
      new Set(['No preference tells it apart ']),
    );
  });
});

describe('what would go first if everything were on the shelf', () => {
  const wouldBe = (options: CaseOptions) =>
    ranked(options)
      .filter(({ firstIfStocked }) => firstIfStocked)
      .map(({ methodId }) => methodId);
  test.each<[string, CaseOptions]>([
    ['there', { zone: WET_SHAKING }],
    ['to be ordered', { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') }],
    ['no tool for it', { zone: WET_SHAKING, catalogue: noTool('crimpSealedButt') }],
  ])('is one and the same: %s', (_, options) => expect(wouldBe(options)).toEqual(['sealedButt']));
});

describe('a method against the ranking may be taken with a reason', () => {
  test.each<[string, RankedMethod, boolean]>([
    ['allowed', of('clipSleeve'), true],
    ['only not there', of('sealedButt', { catalogue: shelfWithout('sealedButt-middle') }), true],
    ['refused by the shop’s practice', of('wrappedSolder', { practice: CRIMP_ONLY }), true],
    ['refused by the place', of('wrappedSolder', { zone: WET_SHAKING }), false],
    ['nothing holds the copper', of('heavySleeve'), false],
    [
      'not there and refused by the place',
      of('wrappedSolder', { zone: WET_SHAKING, catalogue: shelfWithout(...FULL_SHELF.parts.map(({ id }) => id)) }),
      false,
    ],
  ])('%s: %s', (_, { usableWithReason }, is) => expect(usableWithReason).toBe(is));
});

describe('what a line of the ranking carries', () => {
  it('tools by name, and what is not there: parts, then tools', () => {
    expect(of('sealedButt').toolNames.length).toBe(2);
    const catalogue = { ...noTool('crimpSealedButt'), parts: shelfWithout('sealedButt-middle').parts };
    expect(of('sealedButt', { catalogue }).lacks.map(({ name }) => name)).toEqual([
      'Sealed butt, middle',
      expect.stringMatching(/crimper|tool|nest/i) as string,
    ]);
  });
  it('a method that cannot join at all is told that and nothing about the place', () =>
    expect(of('piercingTap', { zone: WET_SHAKING }).hits.map(({ ruleId }) => ruleId)).toContain('tap.cannotRejoin'));
  it('no room names what is in the way, or says that nothing is', () => {
    const features = [
      { kind: 'flex' as const, name: 'Hinge', fromMm: 0, toMm: 499 },
      { kind: 'grommet' as const, name: 'Grommet G1', fromMm: 513, toMm: 1000 },
    ];
    const one = of('sealedButt', { features });
    expect(one.hits[0]?.ruleId).toBe('place.noRoom');
    expect(one.because).toMatch(/Hinge/);
  });
  it('two splices where one reaches only if the wire gives; a second choice is told with two', () => {
    expect(of('sealedButt').splices).toBe(1);
    expect(of('sealedButt', {}, { slackMm: 0 }).splices).toBe(2);
  });
});

it('a bench that solders: the best of the soldered goes first, the other soldered wait behind the crimps', () => {
  const allowed = ranked({ zone: DRY_CABIN, practice: BENCH_SOLDER }).filter(({ status }) => status === 'allowed');
  const joins = allowed.map(({ methodId }) => familyOf(methodId).joins);
  expect(joins[0]).toBe('solder');
  expect(joins.filter((one) => one === 'solder').length).toBeGreaterThan(1);
  expect(joins[1]).toBe('crimp');
});

import { describe, expect, it, test } from 'vitest';
import { familyOf, METHOD_IDS } from '../family/index.ts';
import type { ResistanceLimits } from '../wire/index.ts';
import {
  checksFor,
  checksForCover,
  judgeSamples,
  pullMinimumN,
  readingWords,
  readInWords,
  rule,
  standingOf,
  type Check,
  type Provable,
  type Reading,
  type ReadingValue,
} from './index.ts';

const TWICE: ResistanceLimits = { goodMilliohm: 0.3, alarmMilliohm: 0.6, alarmFrom: 'twice the wire' };
const DROP: ResistanceLimits = { goodMilliohm: 0.3, alarmMilliohm: 0.5, alarmFrom: '50 mV under load' };
const subject = (methodId: string, more: Partial<Provable> = {}): Provable => ({
  proof: familyOf(methodId).proof,
  seal: 'builtIn',
  tinLead: false,
  pullMinimumN: 100,
  limits: TWICE,
  ...more,
});
const checkOf = <K extends Check['kind']>(kind: K, more: Partial<Provable> = {}): Check => {
  const found = checksFor(subject('clipSleeve', more)).find((check) => check.kind === kind);
  if (!found) throw new Error(`no ${kind}`);
  return found;
};

describe('which checks a joint has', () => {
  const LOOKS = ['barrel.wire', 'barrel.crimp'];
  test.each<[string, string, Partial<Provable>, readonly string[]]>([
    ['a sealed butt', 'sealedButt', {}, [...LOOKS, 'tug', 'resistance', 'drop', 'unmeasured', 'seal.glue', 'samples']],
    [
      'a clip',
      'clipSleeve',
      { seal: 'sleeve' },
      ['clip.crimp', 'tug', 'resistance', 'drop', 'unmeasured', 'seal.glue', 'compression', 'samples'],
    ],
    [
      'a barrel under tape',
      'plainWrap',
      { seal: 'wrap' },
      [...LOOKS, 'tug', 'resistance', 'drop', 'unmeasured', 'seal.wrap', 'samples'],
    ],
    [
      'a sleeve without glue',
      'plainSleeve',
      { seal: 'sleeve', glueless: true },
      [...LOOKS, 'tug', 'resistance', 'drop', 'unmeasured', 'seal.tight', 'samples'],
    ],
    [
      'a shielded one',
      'sealedButt',
      { shielded: true },
      [...LOOKS, 'tug', 'resistance', 'drop', 'unmeasured', 'seal.glue', 'shield', 'samples'],
    ],
    ['no limits known', 'sealedButt', { limits: undefined }, [...LOOKS, 'tug', 'seal.glue', 'samples']],
    [
      'a soldered one',
      'wrappedSolder',
      { seal: 'sleeve' },
      ['solder.face', 'tug', 'resistance', 'drop', 'unmeasured', 'seal.glue'],
    ],
    [
      'a solder-and-seal sleeve',
      'solderSleeve',
      {},
      ['ring.melted', 'tug', 'resistance', 'drop', 'unmeasured', 'seal.glue'],
    ],
    ['a cap', 'cap', { seal: 'none' }, ['cap.wires', 'tug', 'resistance', 'drop', 'unmeasured']],
    ['a tap', 'piercingTap', { seal: 'none' }, ['tap.closed']],
  ])('%s', (_what, methodId, more, ids) => expect(checksFor(subject(methodId, more)).map(({ id }) => id)).toEqual(ids));
  it('what must be read is told from what may be', () => {
    const optional = checksFor(subject('clipSleeve', { seal: 'sleeve' })).filter(
      ({ required, anyOf }) => !required && anyOf === undefined,
    );
    expect(optional.map(({ id }) => id)).toEqual(['compression', 'samples']);
  });
  it('a tug goes to half of what a sample must hold', () =>
    expect(checkOf('tug', { pullMinimumN: 222 })).toMatchObject({ targetN: 111, minimumN: 222 }));
  it('samples are held to the whole of it', () =>
    expect(checkOf('samples', { pullMinimumN: 222 })).toMatchObject({ minimumN: 222 }));
  test.each([
    ['sleeve', ['cover.copper', 'seal.glue']],
    ['wrap', ['cover.copper', 'seal.wrap']],
  ] as const)('a cover by %s', (seal, ids) => expect(checksForCover(seal).map(({ id }) => id)).toEqual(ids));
  test.each(METHOD_IDS)('every look at %s has one good answer, and says of each bad one why and what next', (id) => {
    for (const check of checksFor(subject(id, { shielded: true, seal: 'wrap' }))) {
      if (check.kind !== 'look') continue;
      expect(check.required).toBe(true);
      const [good, ...more] = check.answers.filter(({ verdict }) => verdict === 'pass');
      expect([good?.value, good?.watch, good?.next, more]).toEqual(['good', false, '', []]);
      for (const { verdict, watch, cause, next } of check.answers.filter((one) => one !== good)) {
        expect(['rework', 'scrap']).toContain(verdict);
        expect([watch, cause.length > 8, next.length > 8]).toEqual([false, true, true]);
      }
    }
  });
  it('good solder is shiny or dull by its alloy', () => {
    const how = (tinLead: boolean): string => checksFor(subject('lapSolder', { tinLead }))[0]?.how ?? '';
    expect([how(true), how(false)]).toEqual([expect.stringContaining('shiny'), expect.stringContaining('dull')]);
  });
});

describe('rulings on both sides of every limit', () => {
  test.each<[string, number, boolean, string, boolean]>([
    ['let go, even far above', 300, false, 'scrap', false],
    ['just under four fifths of the target', 39.9, true, 'open', false],
    ['four fifths of it', 40, true, 'pass', false],
    ['the target', 50, true, 'pass', false],
    ['five hundredths more', 52.5, true, 'pass', false],
    ['more than that: look again', 52.6, true, 'pass', true],
  ])('a tug, %s: %f N, held %s is %s (watch %s)', (_why, newtons, held, verdict, watch) =>
    expect(rule(checkOf('tug'), { kind: 'tug', newtons, held })).toMatchObject({ verdict, watch }),
  );
  test.each<[ResistanceLimits, number, string, boolean]>([
    [TWICE, 0, 'open', false],
    [TWICE, 0.3, 'pass', false],
    [TWICE, 0.301, 'pass', true],
    [TWICE, 0.599, 'pass', true],
    [TWICE, 0.6, 'scrap', false],
    [DROP, 0.5, 'pass', true],
    [DROP, 0.501, 'scrap', false],
  ])('%j: %f mΩ is %s (watch %s)', (limits, milliohm, verdict, watch) =>
    expect(rule(checkOf('resistance', { limits }), { kind: 'resistance', milliohm })).toMatchObject({ verdict, watch }),
  );
  it('an alarm says whether it lies at its limit or above it', () => {
    const cause = (limits: ResistanceLimits): string =>
      rule(checkOf('resistance', { limits }), { kind: 'resistance', milliohm: 9 }).cause;
    expect([cause(TWICE), cause(DROP)]).toEqual([
      expect.stringContaining('alarm at 0.6 (twice the wire)'),
      expect.stringContaining('alarm above 0.5 (50 mV under load)'),
    ]);
  });
  test.each<[readonly number[], string]>([
    [[100], 'open'],
    [[100, 100], 'open'],
    [[100, 100, 100], 'pass'],
    [[99.9], 'scrap'],
    [[100, 160, 100, 160], 'pass'],
    [[100, 160, 100, 160, 100], 'rework'],
    [[130, 130, 130, 130, 130], 'pass'],
  ])('samples %j against 100 N: %s', (newtons, verdict) => {
    const ruling = rule(checkOf('samples'), { kind: 'samples', newtons });
    expect(ruling).toMatchObject({ verdict, watch: false });
    expect(ruling.next === '').toBe(verdict === 'pass');
  });
  it('the figures of samples: how many, smallest, mean, deviation, and how far the spread reaches', () => {
    expect(judgeSamples([110, 120, 130], 100)).toMatchObject({ count: 3, smallestN: 110, meanN: 120, deviationN: 10 });
    expect(judgeSamples([110, 120, 130], 100).cpk).toBeCloseTo(20 / 30, 9);
    expect(judgeSamples([110], 100)).toMatchObject({ deviationN: 0, cpk: undefined });
    const edge = [95, 105, 95, 105, 100].map((pull) => pull + 15);
    expect(judgeSamples(edge, 100).verdict).toBe('pass');
    expect(judgeSamples(edge, 100.1).verdict).toBe('rework');
  });
  test.each<[number, number]>([
    [0.05, 13],
    [0.12, 13],
    [0.128 / 1.05, 13],
    [0.205 / 1.05, 22],
    [0.204 / 1.05 - 0.001, 13],
    [53.5 / 1.05, 1112],
    [107, 1112],
  ])('copper of %f mm² must hold %i N', (areaMm2, newtons) => expect(pullMinimumN(areaMm2)).toBe(newtons));
  test.each([0, -1, Number.NaN])('copper of %f mm² cannot be pulled', (area) =>
    expect(() => pullMinimumN(area)).toThrow(/more than 0/),
  );
});

describe('readings that cannot be', () => {
  test.each<[Check['kind'], ReadingValue, RegExp | undefined]>([
    ['tug', { kind: 'tug', newtons: -0.1, held: true }, /A tug of -0.1 N cannot be: it lies from 0 to 10000/],
    ['tug', { kind: 'tug', newtons: 0, held: false }, undefined],
    ['tug', { kind: 'tug', newtons: 10_000, held: true }, undefined],
    ['tug', { kind: 'tug', newtons: 10_001, held: true }, /A tug of 10001 N/],
    ['resistance', { kind: 'resistance', milliohm: -1 }, /A resistance of -1 mΩ cannot be/],
    ['resistance', { kind: 'resistance', milliohm: 0 }, undefined],
    ['compression', { kind: 'compression', share: 0 }, /An area share of 0 cannot be: it lies above 0 and up to 1.5/],
    ['compression', { kind: 'compression', share: 0.01 }, undefined],
    ['compression', { kind: 'compression', share: 1.5 }, undefined],
    ['compression', { kind: 'compression', share: 1.51 }, /1.51/],
    ['samples', { kind: 'samples', newtons: [] }, /A pull was not given/],
    ['samples', { kind: 'samples', newtons: [120, -1] }, /A pull of -1 N/],
    ['samples', { kind: 'samples', newtons: [0] }, undefined],
    ['look', { kind: 'look', answer: 'fine' }, /has no answer "fine": use good, /],
  ])('%s %j', (kind, value, why) => {
    const ruled = (): unknown => rule(checkOf(kind), value);
    if (why) expect(ruled).toThrow(why);
    else expect(ruled).not.toThrow();
  });
  it('a reading of another kind is refused by name', () =>
    expect(() => rule(checkOf('tug'), { kind: 'resistance', milliohm: 1 })).toThrow(
      /Tug wants a tug reading, not resistance/,
    ));
});

describe('readings as they are written', () => {
  test.each<[Check['kind'], ReadingValue, string]>([
    ['look', { kind: 'look', answer: 'flash' }, 'Metal squeezed out beside or below'],
    ['look', { kind: 'look', answer: 'older' }, 'older'],
    ['tug', { kind: 'tug', newtons: 111.4, held: true }, '111 N, held'],
    ['tug', { kind: 'tug', newtons: 60, held: false }, '60 N, let go'],
    ['resistance', { kind: 'resistance', milliohm: 0.1234 }, '0.123 mΩ'],
    ['compression', { kind: 'compression', share: 0.856 }, '0.86'],
    ['samples', { kind: 'samples', newtons: [240.2, 236] }, '240, 236 N'],
  ])('%s %j: %s', (kind, value, words) => {
    expect(readingWords(checkOf(kind), value)).toBe(words);
    if (kind !== 'look') expect(readingWords(undefined, value)).toBe(words);
  });
  it('an answer to a check that is gone is written as it is kept', () => {
    expect(readingWords(undefined, { kind: 'look', answer: 'flash' })).toBe('flash');
    expect(readingWords(checkOf('tug'), { kind: 'look', answer: 'flash' })).toBe('flash');
  });
});

describe('where a splice stands', () => {
  const checks = checksFor(subject('sealedButt'));
  const at = (checkId: string, value: ReadingValue): Reading => ({
    id: checkId,
    spliceId: 'F1:only',
    make: 1,
    checkId,
    value,
    by: 'Ines',
    at: '2030-01-01T09:00:00Z',
  });
  const all = [
    at('barrel.wire', { kind: 'look', answer: 'good' }),
    at('barrel.crimp', { kind: 'look', answer: 'good' }),
    at('tug', { kind: 'tug', newtons: 50, held: true }),
    at('resistance', { kind: 'resistance', milliohm: 0.1 }),
    at('seal.glue', { kind: 'look', answer: 'good' }),
  ];
  test.each<[string, readonly Reading[], string]>([
    ['nothing read', [], 'unproved'],
    ['everything asked for', all, 'passed'],
    ['one look missing', all.slice(1), 'unproved'],
    ['one that proves nothing yet', [...all, at('tug', { kind: 'tug', newtons: 1, held: true })], 'unproved'],
    ['one to be reworked', [...all, at('seal.glue', { kind: 'look', answer: 'noGlue' })], 'failed'],
    ['one that is scrap', [...all, at('tug', { kind: 'tug', newtons: 9, held: false })], 'failed'],
    ['a bad sample, which nobody asked for', [...all, at('samples', { kind: 'samples', newtons: [1] })], 'failed'],
    [
      'a reading of another kind does not count',
      [...all.slice(0, 4), at('seal.glue', { kind: 'tug', newtons: 50, held: true })],
      'unproved',
    ],
    ['a check that is gone does not count', [...all, at('gone', { kind: 'look', answer: 'bad' })], 'passed'],
  ])('%s: %s', (_why, readings, standing) => expect(standingOf(checks, readings).standing).toBe(standing));
  it('each ruling stands by its check, the last reading ruling', () => {
    const { rulings } = standingOf(checks, [...all, at('resistance', { kind: 'resistance', milliohm: 0.4 })]);
    expect([...rulings.keys()].sort()).toEqual(all.map(({ checkId }) => checkId).sort());
    expect(rulings.get('resistance')).toMatchObject({ verdict: 'pass', watch: true });
  });
});

describe('how a reading was taken is said with it', () => {
  const value: ReadingValue = { kind: 'look', answer: 'good' };
  test.each<[string, Parameters<typeof readInWords>[1], RegExp]>([
    ['alone', { value }, /^[^,]*$/],
    ['with others', { value, inOneGo: true }, /, in one go with the other looks$/],
    [
      'by an instrument that has a name',
      { value: { kind: 'resistance', milliohm: 0.3 }, instrument: 'meter 3' },
      /^0\.3.* mΩ.*, with meter 3$/,
    ],
  ])('%s', (_, reading, words) => expect(readInWords(undefined, reading)).toMatch(words));
});

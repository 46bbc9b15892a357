import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, partsOf, type Catalogue, type Part } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';

const MIDDLE = partsOf(FULL_SHELF.parts, 'sealedButt').find((part) => part.id === 'sealedButt-middle')!;
/** The full shelf without ready-made butts, but with some of our own. */
const withButts = (...butts: readonly Partial<Part>[]): Catalogue => ({
  ...FULL_SHELF,
  parts: [
    ...FULL_SHELF.parts.filter((part) => part.kind !== 'sealedButt'),
    ...butts.map((more, at) => ({ ...MIDDLE, id: `own-${at}`, name: `own ${at}`, ...more }) as Part),
  ],
});
const HOT = { ...WET_SHAKING, ambientC: 135 };
const butt = (catalogue: Catalogue, options: CaseOptions = {}, finding: Partial<Finding> = {}) =>
  onlyFinding({ kind: 'parted', slackMm: 30, ...finding }, { zone: WET_SHAKING, ...options, catalogue }).ranked.find(
    (one) => one.methodId === 'sealedButt',
  )!;

describe('a part is picked for its place, not for its size alone', () => {
  test.each<[string, readonly Partial<Part>[], CaseOptions, string]>([
    ['of two that hold, the one that stands the heat', [{ ratedC: 125 }, { ratedC: 150 }], { zone: HOT }, 'own-1'],
    [
      'a rating above the need counts for nothing',
      [
        { ratedC: 125, quantity: 9 },
        { ratedC: 200, quantity: 5 },
      ],
      {},
      'own-0',
    ],
    [
      'the lowest upper limit before thinner',
      [
        { crimpedDiameterMm: 4 },
        { range: { minMm2: 1, maxMm2: 2.55 }, crimpedDiameterMm: 6 },
      ] as readonly Partial<Part>[],
      {},
      'own-1',
    ],
    [
      'then the thinner',
      [{ crimpedDiameterMm: 5.2 }, { crimpedDiameterMm: 4.8 }] as readonly Partial<Part>[],
      {},
      'own-1',
    ],
    ['then the shorter', [{ overallLengthMm: 36 }, { overallLengthMm: 30 }] as readonly Partial<Part>[], {}, 'own-1'],
    ['then the one of which there is more', [{ quantity: 3 }, { quantity: 7 }], {}, 'own-1'],
    [
      'a thinner one where the conduit is tight, though its range is wider',
      [
        { range: { minMm2: 1, maxMm2: 2.6 }, crimpedDiameterMm: 6 },
        { range: { minMm2: 1, maxMm2: 4 }, crimpedDiameterMm: 4 },
      ] as readonly Partial<Part>[],
      { conduitInsideMm: 5 },
      'own-1',
    ],
  ])('%s', (_why, butts, options, id) => {
    const ranked = butt(withButts(...butts), options);
    expect([ranked.status, ranked.joints[0]?.partId]).toEqual(['allowed', id]);
  });
  it('a shorter one where the room between the keep-outs is short', () => {
    const catalogue = withButts(
      { overallLengthMm: 60 },
      {
        overallLengthMm: 36,
        range: { minMm2: 1, maxMm2: 4 },
      },
    );
    const features = [
      { kind: 'flex' as const, name: 'left', fromMm: 300, toMm: 484 },
      { kind: 'flex' as const, name: 'right', fromMm: 528, toMm: 700 },
    ];
    expect(butt(catalogue, { features }).joints[0]?.partId).toBe('own-1');
    expect(butt(catalogue).joints[0]?.partId).toBe('own-0');
  });
  it('what stands the place and has to be ordered goes before what lies there and does not', () => {
    const ranked = butt(withButts({ ratedC: 125 }, { ratedC: 150, quantity: 0 }), { zone: HOT });
    expect(ranked).toMatchObject({ status: 'shelf', lacks: [{ name: 'own 1', number: 1 }] });
  });
  it('where none stands it, the rating refuses by name', () => {
    const ranked = butt(withButts({ ratedC: 120 }), { zone: HOT });
    expect(ranked.status).toBe('refused');
    expect(ranked.hits.map((hit) => hit.ruleId)).toContain('rated.under');
  });
  it('a body thicker than the conduit leaves warns and is not refused', () => {
    const ranked = butt(withButts({}), { conduitInsideMm: 4 });
    expect(ranked.status).toBe('allowed');
    expect(ranked.hits.find((hit) => hit.ruleId === 'place.thick')?.verdict).toBe('warn');
  });
  it('an insert takes one of each when there is but one of the best', () => {
    const ranked = butt(withButts({ quantity: 1 }, { quantity: 1, crimpedDiameterMm: 6 }), {}, { slackMm: 0 });
    expect([ranked.status, ranked.joints.map((joint) => joint.partId)]).toEqual(['allowed', ['own-0', 'own-1']]);
  });
});

describe('sleeves, of every series that is there', () => {
  const SLEEVES = partsOf(FULL_SHELF.parts, 'sleeve');
  const only = (keep: (part: (typeof SLEEVES)[number]) => boolean, more: Partial<Part> = {}): Catalogue => ({
    ...FULL_SHELF,
    parts: FULL_SHELF.parts
      .filter(
        (part) => part.kind !== 'sealedButt' && part.kind !== 'solderSleeve' && (part.kind !== 'sleeve' || keep(part)),
      )
      .map((part) => (part.kind === 'sleeve' ? ({ ...part, ...more } as Part) : part)),
  });
  const seal = (catalogue: Catalogue, options: CaseOptions = {}, finding: Partial<Finding> = {}) =>
    onlyFinding({ kind: 'parted', slackMm: 30, ...finding }, { zone: DRY_CABIN, ...options, catalogue }).ranked.find(
      (one) => one.methodId === 'clipSleeve',
    )!;
  it('4:1 where there is no 3:1', () =>
    expect(seal(only((part) => part.series === 'adhesive4to1')).joints[0]?.seal).toMatchObject({
      recoveredIdMm: 2,
      suppliedIdMm: 8,
    }));
  it('a single wall only where it is dry and nothing with glue is there', () => {
    const catalogue = only((part) => part.series === 'single2to1');
    const thick = wire(1, { jacket: { material: 'xlpe', wall: 'thin', outerDiameterMm: 3.3 } });
    const dry = seal(catalogue, { circuits: [{ wire: thick }] });
    // What has glue exists and can be ordered; what is there does it in the dry.
    expect(dry).toMatchObject({ status: 'allowed' });
    expect(dry.joints[0]?.seal).toMatchObject({ adhesive: false });
    const wet = seal(catalogue, { zone: WET_SHAKING, circuits: [{ wire: thick }] });
    expect(wet.joints[0]?.seal).toMatchObject({ adhesive: true });
    expect(wet.status).toBe('shelf');
  });
  it('the short overlap where the wire to park on is short, and never less', () => {
    const features = [
      { kind: 'branch' as const, name: 'B1', fromMm: 466, toMm: 466 },
      { kind: 'branch' as const, name: 'B2', fromMm: 546, toMm: 546 },
    ];
    // 34 mm of free wire on either side: 40 cut does not lie on it, (12 + 12) / 0.9 = 27 does.
    const near = seal(FULL_SHELF, { features }, { fromMm: 500, toMm: 512, slackMm: 60 });
    expect(near.joints[0]?.seal).toMatchObject({ kind: 'sleeve', cutMm: 27 });
    expect(seal(FULL_SHELF).joints[0]?.seal).toMatchObject({ kind: 'sleeve', cutMm: 40 });
  });
});

describe('the order of lines on the shelf', () => {
  const jobs = fc.record({
    area: fc.constantFrom(0.35, 0.5, 1, 1.5, 2.5, 4),
    far: fc.constantFrom(0.5, 1, 2.5),
    slackMm: fc.constantFrom(0, 30),
    wet: fc.boolean(),
    seed: fc.nat(),
  });
  it('never decides', () => {
    fc.assert(
      fc.property(
        jobs,
        fc.array(fc.nat(1000), { minLength: 200, maxLength: 200 }),
        ({ area, far, slackMm, wet }, keys) => {
          const options = { zone: wet ? WET_SHAKING : DRY_CABIN, circuits: [{ wire: wire(area) }] };
          const job = jobWith([{ kind: 'parted', slackMm, farWire: wire(far) }], options);
          // Doubles of every part, so that there are equals to choose between.
          const doubled = FULL_SHELF.parts.flatMap((part) => [
            part,
            { ...part, id: `${part.id}-b`, quantity: part.quantity + 1 },
          ]);
          const shuffled = doubled
            .map((part, at) => ({ part, key: keys[at % keys.length]! + at / 1e6 }))
            .sort((a, b) => a.key - b.key);
          const answer = (parts: readonly Part[]) =>
            planOf(job, { ...options, catalogue: { ...FULL_SHELF, parts } }).findings[0]!.ranked.map((one) => [
              one.methodId,
              one.status,
              one.joints.map((joint) => joint.usesPartIds),
            ]);
          expect(answer(shuffled.map((one) => one.part))).toEqual(answer(doubled));
        },
      ),
      { seed: 5, numRuns: 25 },
    );
  });
});

describe('two sizes that meet on an insert or a lead', () => {
  const stocked = { ...FULL_SHELF, wires: FULL_SHELF.wires.filter((reel) => reel.id !== 'none') };
  it('a step-down on the second splice of an insert', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 0, farWire: wire(4) },
      { zone: WET_SHAKING, circuits: [{ wire: wire(1) }], catalogue: stocked },
    );
    expect(plan.chosen).toBe('stepDown');
    expect(plan.splices.map((one) => one.joint.methodId)).toEqual(['sealedButt', 'stepDown']);
  });
  it('and for the wire that is asked for as insert, on both', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 0, insertWire: wire(4) },
      { zone: WET_SHAKING, circuits: [{ wire: wire(1) }], practice: CRIMP_FIRST, catalogue: stocked },
    );
    expect(plan.chosen).toBe('stepDown');
    expect(plan.splices.map((one) => one.joint.methodId)).toEqual(['stepDown', 'stepDown']);
  });
});

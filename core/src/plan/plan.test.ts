import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, onlyFinding, planOf, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import { checkJob, type Job } from '../job/index.ts';
import { plan } from './index.ts';

const parted = (circuit: number, fromMm: number, slackMm = 0) => ({
  kind: 'parted' as const,
  circuitId: `C${circuit}`,
  fromMm,
  toMm: fromMm + 10,
  slackMm,
});

describe('what cannot be planned', () => {
  const good = jobWith([{ kind: 'parted' }], { circuits: [{}, {}] });
  const harness = good.harness;
  const [finding] = good.findings;
  const withFinding = (more: object): Job => ({ ...good, findings: [{ ...finding!, ...more }] });
  const withCircuit = (more: object): Job => ({
    ...good,
    harness: { ...harness, circuits: [harness.circuits[0]!, { ...harness.circuits[1]!, ...more }] },
  });
  test.each([
    [
      'a finding outside its run',
      withFinding({ fromMm: 990, toMm: 1010 }),
      'FINDING_OUTSIDE_RUN',
      '/findings/0/toMm',
      'outside Main run, which is 1000 mm long',
    ],
    [
      'a finding before its run',
      withFinding({ fromMm: -5, toMm: 10 }),
      'FINDING_OUTSIDE_RUN',
      '/findings/0/fromMm',
      'at -5–10 mm',
    ],
    [
      'a finding without length',
      withFinding({ fromMm: 500, toMm: 500 }),
      'FINDING_NO_LENGTH',
      '/findings/0/toMm',
      'its length of 0 mm must be above 0',
    ],
    [
      'a finding of negative length',
      withFinding({ fromMm: 500, toMm: 480 }),
      'FINDING_NO_LENGTH',
      '/findings/0/toMm',
      '-20 mm',
    ],
    [
      'a cut-back past the end',
      withFinding({ fromMm: 980, toMm: 990, cutBackRightMm: 20 }),
      'CUT_BACK_OUTSIDE_RUN',
      '/findings/0/cutBackRightMm',
      'reaches 980–1010 mm',
    ],
    ['an unknown circuit', withFinding({ circuitId: 'C9' }), 'UNKNOWN_CIRCUIT', '/findings/0/circuitId', '"C9"'],
    ['an unknown run', withFinding({ runId: 'R9' }), 'UNKNOWN_RUN', '/findings/0/runId', '"R9"'],
    [
      'more strands lost than there are',
      withFinding({ kind: 'strandsLost', strandsLost: 20, strandsTotal: 19 }),
      'STRANDS',
      '/findings/0/strandsLost',
      '20 of 19',
    ],
    [
      'a circuit number twice',
      withCircuit({ number: '1' }),
      'CIRCUIT_TWICE',
      '/harness/circuits/1/number',
      'number 1 is there twice: "Function 1" and "Function 2"',
    ],
    ['a circuit id twice', withCircuit({ id: 'C1' }), 'CIRCUIT_TWICE', '/harness/circuits/1/id', 'id "C1"'],
    [
      'area and AWG that disagree',
      withCircuit({ wire: wire(1, { size: { basis: 'awg', awg: 16, areaMm2: 1 } }) }),
      'SIZE_DISAGREES',
      '/harness/circuits/1/wire/size/areaMm2',
      'set the basis to "trade"',
    ],
    [
      'a fuse above the wire',
      withCircuit({ wire: wire(0.5), fuseA: 40 }),
      'FUSE_ABOVE_WIRE',
      '/harness/circuits/1/fuseA',
      'may carry',
    ],
    [
      'a circuit through a run that is not there',
      withCircuit({ runIds: ['R7'] }),
      'UNKNOWN_RUN',
      '/harness/circuits/1/runIds/0',
      '"R7"',
    ],
    ['a pair with nobody', withCircuit({ pairWith: 'C8' }), 'UNKNOWN_PAIR', '/harness/circuits/1/pairWith', '"C8"'],
    [
      'a cavity of a connector that is not there',
      withCircuit({ to: { nodeId: 'X9', cavity: '1' } }),
      'UNKNOWN_NODE',
      '/harness/circuits/1/to/nodeId',
      '"X9"',
    ],
  ] as const)('%s', (_why, job, code, pointer, words) => {
    const [problem] = checkJob(job);
    expect(problem).toMatchObject({ code, pointer, message: expect.stringContaining(words) });
    expect(problem!.hint.length).toBeGreaterThan(10);
  });
  it('a circuit in a cavity that its connector does not have, and ways that disagree with its face', () => {
    const face = { layout: { kind: 'rows' as const, rows: 1, columns: 2 }, numbering: { kind: 'rowWise' as const } };
    const described = {
      ...good,
      harness: {
        ...harness,
        nodes: [{ ...harness.nodes[0]!, face, ways: 3 }, harness.nodes[1]!],
        circuits: [harness.circuits[0]!, { ...harness.circuits[1]!, from: { nodeId: 'X1', cavity: '5' } }],
      },
    };
    expect(checkJob(described)).toMatchObject([
      {
        code: 'WAYS_DISAGREE',
        pointer: '/harness/nodes/0/ways',
        message: 'X1 is said to have 3 ways, and its face has 2 cavities.',
      },
      {
        code: 'UNKNOWN_CAVITY',
        pointer: '/harness/circuits/1/from/cavity',
        message: 'Circuit 2 is in cavity 5 of X1, which has no such cavity.',
        hint: 'Its cavities are 1, 2.',
      },
    ]);
  });
  it('a face with a number twice', () => {
    const face = {
      layout: { kind: 'rows' as const, rows: 1, columns: 2 },
      numbering: { kind: 'rowWise' as const },
      renamed: { 2: '1' },
    };
    expect(
      checkJob({ ...good, harness: { ...harness, nodes: [{ ...harness.nodes[0]!, face }, harness.nodes[1]!] } })[0],
    ).toMatchObject({
      code: 'CONNECTOR_FACE',
      pointer: '/harness/nodes/0/face',
      message: expect.stringContaining('Cavity 1 is there twice'),
    });
  });
  it('two findings over each other on one wire', () => {
    expect(checkJob(jobWith([{ kind: 'parted' }, { kind: 'corroded', fromMm: 505, toMm: 520 }]))[0]).toMatchObject({
      code: 'FINDINGS_OVERLAP',
      pointer: '/findings/1/fromMm',
    });
  });
  it('a choice, a pin and a redo that belong to no finding', () => {
    const said = { by: 'Ines', at: '2030-01-01T09:00:00Z' };
    const lost: Job = {
      ...good,
      choices: [{ findingId: 'F9', use: 'clipSleeve', reason: 'slim', ...said }],
      pins: [{ findingId: 'F9', side: 'only', centreMm: 5 }],
      redos: [{ id: 'R', findingId: 'F9', lostFromMm: 1, lostToMm: 2, because: 'x', ...said }],
    };
    expect(checkJob(lost).map((one) => [one.code, one.pointer])).toEqual([
      ['UNKNOWN_FINDING', '/choices/0/findingId'],
      ['UNKNOWN_FINDING', '/pins/0/findingId'],
      ['UNKNOWN_FINDING', '/redos/0/findingId'],
    ]);
  });
  it('a clip outside its run', () =>
    expect(checkJob(jobWith([], { features: [{ kind: 'clip', name: 'K', fromMm: 990, toMm: 1010 }] }))[0]?.code).toBe(
      'FEATURE_OUTSIDE_RUN',
    ));
  it('all of it at once, and nothing on a sound job', () => {
    expect(checkJob(good)).toEqual([]);
    expect(checkJob({ ...withFinding({ fromMm: -5, toMm: -6 }) }).length).toBe(2);
  });
});

describe('how often a splice can be made again', () => {
  const only = (slackMm: number) => onlyFinding({ kind: 'parted', slackMm }, { zone: WET_SHAKING });
  it('redos left counts whole ones, both sides each', () => expect(only(12 + 2 * 39).splices[0]?.redosLeft).toBe(2));
});

describe('kit', () => {
  const job = jobWith([parted(1, 200), parted(2, 500), parted(3, 700, 20)], {
    zone: WET_SHAKING,
    circuits: [{}, {}, { wire: wire(0.5) }],
  });
  it('counts parts together and holds them against the shelf', () => {
    const few: Catalogue = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part) => (part.id === 'sealedButt-middle' ? { ...part, quantity: 3 } : part)),
    };
    const { kit } = planOf(job, { catalogue: few });
    expect(kit.lines.find((line) => line.id === 'sealedButt-middle')).toMatchObject({
      need: 4,
      have: 3,
      state: 'short',
      note: 'Order 1.',
    });
    expect(kit.ready).toBe(false);
    expect(planOf(job).kit.ready).toBe(true);
  });
  it('lists every insert to cut', () =>
    expect(planOf(job).kit.wireCuts.map((cut) => cut.circuitNumber)).toEqual(['1', '2']));
  it('sleeves become sticks and pieces to cut', () => {
    const { kit } = planOf(job, { catalogue: shelfWithout('sealedButt-middle') });
    expect(kit.sleeveCuts).toEqual([{ name: 'Adhesive sleeve 6/2', cutMm: 40, pieces: 4 }]);
    expect(kit.lines.find((line) => line.unit === 'stick')).toMatchObject({ need: 1 });
  });
});

describe('laws of the plan', () => {
  const anyJob = fc
    .array(
      fc.record({
        area: fc.constantFrom(0.5, 0.75, 1, 1.5, 2.5, 4),
        slackMm: fc.integer({ min: 0, max: 80 }),
        lost: fc.integer({ min: 1, max: 40 }),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map((list) => ({
      list,
      job: (options: CaseOptions, slackMore = 0): Job =>
        jobWith(
          list.map((one, index) => ({
            kind: 'parted' as const,
            circuitId: `C${index + 1}`,
            fromMm: 300 + 400 * index,
            toMm: 300 + 400 * index + one.lost,
            slackMm: one.slackMm + slackMore,
          })),
          { ...options, lengthMm: 2600, circuits: list.map((one) => ({ wire: wire(one.area) })) },
        ),
    }));
  it('the same job gives the same plan, letter for letter', () => {
    fc.assert(
      fc.property(anyJob, ({ job }) => {
        expect(planOf(job({}))).toEqual(planOf(job({})));
      }),
      { numRuns: 15, seed: 3 },
    );
  });
  it('more slack never adds a splice', () => {
    fc.assert(
      fc.property(anyJob, ({ job }) => {
        expect(planOf(job({}, 30)).totals.splices).toBeLessThanOrEqual(planOf(job({})).totals.splices);
      }),
      { numRuns: 25, seed: 4 },
    );
  });
  it('more vibration never ranks solder higher', () => {
    const place = (job: Job): number =>
      plan(job, CRIMP_FIRST, FULL_SHELF).findings[0]!.ranked.findIndex((one) => one.methodId === 'wrappedSolder');
    fc.assert(
      fc.property(anyJob, ({ job }) => {
        const still = { area: 'body', vibration: 'none', moisture: 'dry', fuelVapour: false } as const;
        expect(place(job({ zone: { ...still, vibration: 'high' } }))).toBeGreaterThanOrEqual(
          place(job({ zone: still })),
        );
      }),
      { numRuns: 25, seed: 5 },
    );
  });
  it('the order of the findings changes no choice', () => {
    fc.assert(
      fc.property(anyJob, ({ job }) => {
        const straight = job({});
        const chosen = (one: Job): (readonly [string, string | undefined])[] =>
          planOf(one)
            .findings.map((finding) => [finding.findingId, finding.chosen] as const)
            .sort(([a], [b]) => a.localeCompare(b));
        expect(chosen({ ...straight, findings: [...straight.findings].reverse() })).toEqual(chosen(straight));
      }),
      { numRuns: 20, seed: 6 },
    );
  });
});

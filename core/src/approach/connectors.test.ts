import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue, type Part } from '../catalogue/index.ts';
import type { ConnectorIdentity } from '../connector/index.ts';
import type { Finding } from '../damage/index.ts';
import type { CavityFitting } from '../harness/index.ts';
import type { FindingPlan, Plan } from '../plan/index.ts';
import type { ConnectorKitPart, HousingPart, PigtailPart } from '../stock/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import { at } from './test/atCavity.ts';

const stocked = { quantity: 2, ratedC: 125, figuresFrom: 'stamped' } as const;
const pigtail = (id: string, more: Partial<PigtailPart> = {}): PigtailPart => ({
  ...stocked,
  kind: 'pigtail',
  id,
  name: `Pigtail ${id}`,
  ways: 2,
  areaMm2: 2.5,
  leadMm: 200,
  family: 'KD',
  ...more,
});
const housing = (id: string, more: Partial<HousingPart> = {}): HousingPart => ({
  ...stocked,
  kind: 'housing',
  id,
  name: `Housing ${id}`,
  lock: 'frontLance',
  ways: 2,
  ...more,
});
const kit = (more: Partial<ConnectorKitPart> = {}): ConnectorKitPart => ({
  ...stocked,
  kind: 'connectorKit',
  id: 'kit',
  name: 'Kit KD',
  lock: 'frontLance',
  ways: 2,
  family: 'KD',
  terminal: '2.8',
  range: { minMm2: 0.5, maxMm2: 2.5 },
  jacketMm: { minMm: 1.4, maxMm: 3.2 },
  stripMm: 5,
  sealMm: { minMm: 1.6, maxMm: 3 },
  ...more,
});
/** The full shelf with the connector parts of a case only; terminals and seals as asked. */
const shelf = (parts: readonly Part[], without: readonly Part['kind'][] = []): Catalogue => ({
  ...FULL_SHELF,
  parts: [
    ...FULL_SHELF.parts
      .filter(({ kind }) => !['pigtail', 'housing', 'connectorKit'].includes(kind))
      .map((part) => (without.includes(part.kind) ? { ...part, quantity: 0 } : part)),
    ...parts,
  ],
});

interface Case extends CaseOptions {
  readonly identity?: ConnectorIdentity;
  readonly ways?: number;
  readonly fittings?: Readonly<Record<string, CavityFitting>>;
  readonly lock?: 'frontLance';
}
const WIRES: CaseOptions = { zone: WET_SHAKING, circuits: [{ wire: wire(1.5) }, { wire: wire(0.75) }] };
const KD: ConnectorIdentity = { family: 'KD' };

/** X2 with two wires in it, cavity 1 with 1.5 mm² and cavity 2 with 0.75, and the same found at both. */
function planAt(
  kind: 'housingMelted' | 'housingBroken',
  { identity, ways = 2, fittings, lock, ...options }: Case,
): Plan {
  const all = { ...WIRES, ...options };
  const job = jobWith([], all);
  const nodes = job.harness.nodes.map((node) =>
    node.id === 'X2' ? { ...node, ways, identity, fittings, lock } : node,
  );
  const findings: Finding[] = job.harness.circuits.map((circuit, index) => ({
    ...at(kind, { slackMm: 40, note: 'loose pin' }),
    id: `F${index + 1}`,
    circuitId: circuit.id,
    at: { nodeId: 'X2', cavity: circuit.to.cavity },
  }));
  return planOf({ ...job, harness: { ...job.harness, nodes }, findings }, all);
}
const first = (plan: Plan): FindingPlan => plan.findings[0]!;
const takenBy = (plan: Plan): readonly (readonly string[] | undefined)[] =>
  plan.findings.map(({ cavity }) => cavity?.work.sharedPartIds);
const said = (plan: Plan): string => [...first(plan).because, ...first(plan).passed].join(' ');

describe('a pigtail fits by family, and wire by wire', () => {
  test.each<[string, readonly PigtailPart[], Case, string, RegExp]>([
    [
      'its family, whatever its spelling',
      [pigtail('a', { family: 'k d' })],
      { identity: KD },
      'a',
      /of its family, KD/,
    ],
    [
      'another family is refused by name, though another is taken',
      [pigtail('a', { family: 'MP', areaMm2: 1.5 }), pigtail('b')],
      { identity: KD },
      'b',
      /Pigtail a is of family MP, X2 is of KD: it does not go into the mate/,
    ],
    [
      'another keying as well',
      [pigtail('a', { keying: 'A', areaMm2: 1.5 }), pigtail('b', { keying: 'b' })],
      { identity: { family: 'KD', keying: 'B' } },
      'b',
      /Pigtail a has keying A, X2 has B: the mate keeps it out/,
    ],
    [
      'of the same number, whatever its family is called',
      [pigtail('a', { family: 'Kappa', partNumber: '47-11' })],
      { identity: { family: 'KD', partNumber: '4711' } },
      'a',
      /A pigtail of its family/,
    ],
    [
      'a family that is known goes before less copper',
      [pigtail('a', { family: undefined, areaMm2: 1.5 }), pigtail('b')],
      { identity: KD },
      'b',
      /of its family/,
    ],
    [
      'the least copper of its wires that are used',
      [pigtail('a'), pigtail('b', { areaMm2: 1.5 })],
      { identity: KD },
      'b',
      /no wire smaller than the one it replaces/,
    ],
    [
      'each of its wires by what it replaces',
      [
        pigtail('a', {
          leads: [
            { cavity: '1', colour: { base: 'grey' }, areaMm2: 1.5 },
            { cavity: '2', colour: { base: 'pink' }, areaMm2: 0.75 },
          ],
        }),
        pigtail('b', { areaMm2: 1.5 }),
      ],
      { identity: KD },
      'a',
      /of its family/,
    ],
    [
      'one wire smaller is refused by name',
      [
        pigtail('a', {
          leads: [
            { cavity: '1', colour: { base: 'grey' }, areaMm2: 1 },
            { cavity: '2', colour: { base: 'pink' }, areaMm2: 1 },
          ],
        }),
        pigtail('b'),
      ],
      { identity: KD },
      'b',
      /Pigtail a: 1 mm² in cavity 1, and circuit 1 has 1.5/,
    ],
    [
      'a cavity without a wire is refused by name',
      [pigtail('a', { leads: [{ cavity: '1', colour: { base: 'grey' }, areaMm2: 4 }] }), pigtail('b')],
      { identity: KD },
      'b',
      /Pigtail a has no wire in cavity 2, where circuit 2 sits/,
    ],
    [
      'what does not stand the place is refused by name',
      [pigtail('a', { ratedC: 85, areaMm2: 1.5 }), pigtail('b')],
      { identity: KD, zone: { ...WET_SHAKING, ambientC: 96 } },
      'b',
      /Pigtail a: its wire in cavity 1 is rated 85 °C, and the place reaches 96/,
    ],
    [
      'of those that stand it the one with no lower heat class goes first',
      [pigtail('a', { ratedC: 110, areaMm2: 1.5 }), pigtail('b')],
      { identity: KD },
      'b',
      /of its family/,
    ],
  ])('%s', (_why, parts, options, taken, words) => {
    const plan = planAt('housingMelted', { ...options, catalogue: shelf(parts) });
    expect(plan.findings.map(({ approach }) => approach)).toEqual(['pigtail', 'pigtail']);
    expect(takenBy(plan)).toEqual([[taken], [taken]]);
    expect(said(plan)).toMatch(words);
  });
  it('a lower heat class than the old wire’s is a warning', () => {
    const plan = planAt('housingMelted', { identity: KD, catalogue: shelf([pigtail('a', { ratedC: 110 })]) });
    expect(first(plan).warnings).toContain(
      'The pigtail’s wire in cavity 1 is rated 110 °C, the old one of circuit 1 125: keep it off what is hot.',
    );
  });
  it('its own wire is what is spliced: copper, colour and jacket, none of it the harness’s', () => {
    const leads = [
      { cavity: '1', colour: { base: 'grey' }, areaMm2: 2.5, ratedC: 110 },
      { cavity: '2', colour: { base: 'pink' }, areaMm2: 1 },
    ] as const;
    const plan = planAt('housingMelted', { identity: KD, catalogue: shelf([pigtail('a', { leads })]) });
    expect(plan.findings.map(({ insert }) => insert?.wire.wire)).toMatchObject([
      { size: { areaMm2: 2.5 }, colour: { base: 'grey' }, jacket: { material: 'pvc105' } },
      { size: { areaMm2: 1 }, colour: { base: 'pink' }, jacket: { material: 'xlpe' } },
    ]);
  });
  it.each([
    ['the connector’s, where nobody noted it', undefined, 'KD', { on: 'node', nodeId: 'X2', field: 'family' }],
    ['the pigtail’s, where the shelf does not say', 'KD', undefined, { on: 'shelf', name: 'Pigtail a' }],
  ])('an unknown family is asked, once: %s', (_whose, own, family, field) => {
    const identity = own === undefined ? undefined : { family: own };
    const plan = planAt('housingMelted', { identity, catalogue: shelf([pigtail('a', { family })]) });
    expect(plan.findings.flatMap(({ asks }) => asks.map(({ at: where }) => where))).toEqual([field]);
  });
  it('where none will do it is said what to order, by ways, family, copper and heat', () => {
    const plan = planAt('housingMelted', { identity: KD, ways: 9, catalogue: shelf([]) });
    expect(first(plan).asks[0]?.words).toMatch(
      /^Order 1 × Pigtail for X2: 9-way, family KD, 1.5 mm² or more in 1; 0.75 in 2, for \d+ °C \(none listed will do: add it to the shelf, and it is planned\)$/,
    );
  });
  it('what is ordered is of its family', () => {
    const plan = planAt('housingMelted', {
      identity: { family: 'KD', keying: 'B' },
      catalogue: shelf([pigtail('a', { quantity: 0, family: undefined })]),
    });
    expect(first(plan).asks[0]?.words).toBe('Order 1 × Pigtail a: 2-way, 2.5 mm², 200 mm long, family KD, keying B');
  });
});

describe('a new housing fits by family', () => {
  test.each<[string, readonly Part[], Case, string, RegExp]>([
    ['the one of its family', [housing('a'), housing('b', { family: 'KD' })], { identity: KD }, 'b', /nothing is cut/],
    [
      'another family is refused by name',
      [housing('a', { family: 'MP' }), housing('b', { family: 'KD' })],
      { identity: KD },
      'b',
      /Housing a is of family MP, X2 is of KD/,
    ],
    [
      'how it holds its terminals is known by its family',
      [housing('a', { family: 'KD' })],
      { identity: KD, lock: undefined },
      'a',
      /nothing is cut/,
    ],
    ['a kit has a housing too', [kit()], { identity: KD }, 'kit', /nothing is cut/],
    ['a housing before a kit', [kit(), housing('a', { family: 'KD' })], { identity: KD }, 'a', /nothing is cut/],
  ])('%s', (_why, parts, options, taken, words) => {
    const plan = planAt('housingBroken', { lock: 'frontLance', ...options, catalogue: shelf(parts) });
    expect(plan.findings.map(({ approach }) => approach)).toEqual(['rehouse', 'rehouse']);
    expect(takenBy(plan)).toEqual([[taken], [taken]]);
    expect(said(plan)).toMatch(words);
  });
});

describe('a connector kit', () => {
  const melted = (part: ConnectorKitPart, more: Case = {}, parts: readonly Part[] = []): Plan =>
    planAt('housingMelted', {
      identity: KD,
      lock: 'frontLance',
      fittings: { 1: { terminal: '2.8' }, 2: { terminal: '2.8' } },
      ...more,
      catalogue: shelf([part, ...parts], parts.length > 0 ? [] : ['terminal', 'wireSeal']),
    });
  it('brings housing, terminals and seals: one is taken for the connector, and nothing else is short', () => {
    const plan = melted(kit());
    expect(plan.findings.map(({ approach }) => approach)).toEqual(['rehouse', 'rehouse']);
    expect(plan.findings.map(({ cavity }) => cavity?.work.terminal?.partName)).toEqual([
      '2.8 mm terminal out of the kit',
      '2.8 mm terminal out of the kit',
    ]);
    expect(plan.kit.lines.map(({ id, need }) => [id, need])).toEqual([['kit', 1]]);
    expect(first(plan).cavity?.work.terminal).toMatchObject({ stripMm: 5, seal: { name: 'wire seal out of the kit' } });
  });
  it('goes before a housing that wants terminals of its own', () =>
    expect(takenBy(melted(kit(), {}, [housing('a', { family: 'KD' })]))).toEqual([['kit'], ['kit']]));
  test.each<[string, Partial<ConnectorKitPart>, RegExp]>([
    ['of other terminals', { terminal: '6.3' }, /Kit KD takes the 6.3 mm terminal; cavity 1 of X2 has the 2.8/],
    ['for thinner copper', { range: { minMm2: 0.2, maxMm2: 1 } }, /its terminals hold 0.2–1 mm², and cavity 1 has 1.5/],
    ['with smaller seals', { sealMm: { minMm: 1, maxMm: 1.5 } }, /takes jackets of 1–1.5 mm, and cavity 1 has 2.3\d/],
    ['of another keying', { keying: 'A' }, /Kit KD has keying A, X2 has B/],
  ])('%s is refused by name', (_why, more, words) => {
    const plan = melted(kit(more), { identity: { family: 'KD', keying: 'B' } }, [housing('a', { family: 'KD' })]);
    expect(takenBy(plan)).toEqual([['a'], ['a']]);
    expect(said(plan)).toMatch(words);
  });
  it('of a family that nobody knows is not guessed at where the terminals are not noted', () => {
    const plan = melted(kit({ family: undefined }), { fittings: undefined }, [housing('a')]);
    expect(plan.findings.flatMap(({ cavity }) => cavity?.work.sharedPartIds ?? [])).not.toContain('kit');
  });
});

describe('what is printed on a connector goes into its work', () => {
  it('the release tool with its number stands on the step and in the kit; the latch says how the halves part', () => {
    const plan = planAt('housingBroken', {
      lock: 'frontLance',
      identity: { family: 'KD', latch: 'lever', releaseTool: 'Blade tool', releaseToolNumber: 'BT-20' },
      catalogue: shelf([housing('a', { family: 'KD' })]),
    });
    const { cavity } = first(plan);
    expect(plan.kit.tools).toContain('Blade tool, BT-20');
    expect(cavity?.steps.find(({ key }) => key === 'free')?.detail).toContain('The tool: Blade tool, BT-20.');
    expect(cavity?.steps[0]?.detail).toMatch(/^Swing the lever all the way over/);
  });
});

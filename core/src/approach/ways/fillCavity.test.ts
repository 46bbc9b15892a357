import { describe, expect, it, test } from 'vitest';
import type { CavityFitting, HarnessNode } from '../../harness/index.ts';
import type { FindingPlan } from '../../plan/index.ts';
import { DRY_CABIN, jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../../test/samples.ts';
import { NO_TERMINALS } from '../test/atCavity.ts';
import type { Choice } from '../types.ts';

const WHERE = 'X1, cavity 9';
interface Filled extends CaseOptions {
  readonly fitting?: CavityFitting;
  readonly areaMm2?: number;
  readonly choice?: Choice['use'];
}
/** A circuit added at cavity 9 of X1, which is free. */
function filled({ fitting, areaMm2 = 0.75, choice, ...options }: Filled = {}): FindingPlan {
  const job = jobWith(
    [{ kind: 'addCircuit', branchWires: [wire(areaMm2)], freeCavity: { nodeId: 'X1', cavity: '9' } }],
    options,
  );
  const nodes = job.harness.nodes.map((node) =>
    node.id === 'X1' && fitting ? { ...node, fittings: { 9: fitting } } : node,
  );
  const choices: Choice[] = choice
    ? [{ findingId: 'F1', use: choice, reason: 'why', by: 'Ines', at: '2030-01-01T08:00:00Z' }]
    : [];
  return planOf({ ...job, harness: { ...job.harness, nodes }, choices }, options).findings[0]!;
}
const COST = { splices: 0, minutes: 6, wireMm: 0 };
const GOES_IN = `${WHERE} is free: a lead with its own terminal (1.5 mm terminal) goes in, the plug comes out, and no wire is cut.`;
const NOT_NOTED = `Nobody has noted which terminal belongs to ${WHERE}: note its family there, or what the end is for`;
const WHERE_TO = [
  'Where does the added wire go? Its terminal, its route and its length follow from its other end',
  'What does the added circuit carry, and has it a fuse of its own? Its wire is held against that',
];

describe('a free cavity that takes a new circuit', () => {
  test.each<[string, Filled, object, readonly string[]]>([
    [
      'dry, its terminal noted and there',
      { fitting: { terminal: '1.5' } },
      { status: 'allowed', because: GOES_IN, lacks: [], cost: { ...COST, parts: ['1.5 mm terminal'] } },
      [],
    ],
    [
      'closed by a plug so far: sealed, so the new wire has a seal',
      { fitting: { terminal: '1.5', seal: 'plug' }, zone: WET_SHAKING },
      {
        status: 'allowed',
        because: GOES_IN,
        lacks: [],
        cost: { ...COST, parts: ['1.5 mm terminal', 'Wire seal 1.6–2.2'] },
      },
      [],
    ],
    [
      'nothing noted: the terminal is asked for',
      {},
      { status: 'allowed', because: NOT_NOTED, lacks: [], cost: { ...COST, parts: [] } },
      [NOT_NOTED],
    ],
    [
      'its terminal noted, none there: ordered',
      { fitting: { terminal: '1.5' }, catalogue: NO_TERMINALS },
      {
        status: 'shelf',
        because: 'Not on the shelf: 1.5 mm terminal. It can be ordered.',
        lacks: [{ name: '1.5 mm terminal', number: 1, fits: '0.35–1.5 mm², strip 4.5 mm, jacket 1.2–2.8 mm' }],
        cost: { ...COST, parts: ['1.5 mm terminal'] },
      },
      ['Order 1 × 1.5 mm terminal: 0.35–1.5 mm², strip 4.5 mm, jacket 1.2–2.8 mm'],
    ],
    [
      'no terminal of its family takes the wire',
      { fitting: { terminal: '0.64' }, areaMm2: 6 },
      {
        status: 'shelf',
        because: 'No 0.64 mm terminal holds 6 mm² with a jacket of 3.95 mm.',
        lacks: [],
        cost: { ...COST, parts: [] },
      },
      ['No 0.64 mm terminal holds 6 mm² with a jacket of 3.95 mm.'],
    ],
  ])('%s', (_, options, way, asks) => {
    const plan = filled({ zone: DRY_CABIN, ...options });
    expect(plan.approach).toBe('fillCavity');
    expect(plan.ways).toEqual([{ way: 'fillCavity', ruleId: 'way.fillCavity', ...way }]);
    expect(plan.because).toEqual([plan.ways[0]?.because]);
    expect(plan.asks.map(({ words }) => words)).toEqual([...asks, ...WHERE_TO]);
    expect(plan.warnings).toEqual([]);
  });
  it('the plug comes out, the seal slides on, the terminal goes on and in: nothing is freed', () => {
    const { cavity, splices } = filled({ fitting: { terminal: '1.5', seal: 'plug' } });
    expect(splices).toEqual([]);
    expect(cavity?.work).toMatchObject({
      acts: ['unplug', 'crimpTerminal'],
      at: { nodeId: 'X1', cavity: '9' },
      partIds: ['terminal-1.5', 'wireSeal-1.6–2.2'],
    });
    expect(cavity?.steps.map(({ key }) => key)).toEqual(['unplug', 'wireSeal', 'strip', 'terminal', 'seat']);
  });
  describe('a lead from it to another end', () => {
    const DRY = { terminal: '1.5' } as const;
    const led = (far: Partial<HarnessNode>, choices: readonly Choice[] = []): FindingPlan => {
      const lead = {
        kind: 'addCircuit' as const,
        branchWires: [wire(0.75)],
        freeCavity: { nodeId: 'X1', cavity: '9' },
        otherEnd: { nodeId: 'X2', cavity: '9' },
      };
      const job = jobWith([lead], { zone: DRY_CABIN });
      const nodes = job.harness.nodes.map((node) => ({
        ...node,
        fittings: { 9: DRY },
        ...(node.id === 'X2' ? far : {}),
      }));
      return planOf({ ...job, harness: { ...job.harness, nodes }, choices }).findings[0]!;
    };
    it('costs a terminal more, and the wire of its way', () =>
      // A run of 1000 mm, and 3 % for bends.
      expect(led({}).ways[0]?.cost).toEqual({
        splices: 0,
        minutes: 12,
        wireMm: 1030,
        parts: ['1.5 mm terminal', '1.5 mm terminal'],
      }));
    it('a terminal that somebody chose is one for its cavity: the far end keeps its own', () => {
      const stud: Partial<HarnessNode> = {
        kind: 'end',
        fittings: { 9: { terminal: 'ringM6', use: 'stays', stud: 'M6' } },
      };
      const far = led(stud).far?.work;
      const other = far?.terminals.find(({ status }, at) => at > 0 && status === 'allowed');
      expect(other).toBeDefined();
      const choice = { findingId: 'F1', use: 'fillCavity', reason: 'why', by: 'Ines', at: '2030-01-01T08:00:00Z' };
      const chosen = led(stud, [{ ...choice, terminal: other!.id } as Choice]);
      expect(chosen.far?.work.terminal).toEqual(far?.terminal);
    });
  });
  it('the wire that goes in is the new one, not the one beside it', () =>
    expect(filled({ fitting: { terminal: '1.5' }, areaMm2: 1 }).cavity?.work.wire).toEqual(wire(1)));
  it('somebody who asked for it is named; one who asked for a splice hears that it cannot be', () => {
    const fitting = { terminal: '1.5' } as const;
    expect(filled({ fitting, choice: 'fillCavity' })).toMatchObject({ chosenBy: { by: 'Ines' }, warnings: [] });
    const other = filled({ fitting, choice: 'oneSplice' });
    expect(other.chosenBy).toBeUndefined();
    expect(other.warnings).toEqual([
      'The choice of Ines can no longer be used here; the first that is possible stands instead.',
    ]);
  });
});

import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { CAVITY_FINDING_KINDS, FINDING_KINDS, isCavityKind, type Finding } from '../damage/index.ts';
import type { Zone } from '../harness/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST, CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, WET_SHAKING, wire } from '../test/samples.ts';
import { liftedAt } from './asks.ts';
import { asked } from './test/asked.ts';
import { at, planned } from './test/atCavity.ts';

const EMPTY: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) };
const NO_TOOLS: Catalogue = { ...FULL_SHELF, tools: [] };

describe('a card that asks for a person', () => {
  it('cooked: asks for the cause until it is noted', () => {
    expect(onlyFinding({ kind: 'cooked', slackMm: 40 }).asks).toEqual(
      asked(/^What cooked it/, { on: 'finding', findingId: 'F1', field: 'note' }),
    );
    expect(onlyFinding({ kind: 'cooked', slackMm: 40, note: 'Bearing dry, motor overloaded.' }).asks).toEqual([]);
  });
});

describe('fuse', () => {
  it('above what the wire may carry in its bundle: the card asks for a person', () => {
    const circuits = [{ wire: wire(0.5), fuseA: 12 }, { wire: wire(0.5) }, { wire: wire(0.5) }, { wire: wire(0.5) }];
    const plan = onlyFinding({ kind: 'parted', slackMm: 40 }, { circuits });
    expect(plan.electrical).toMatchObject({ loadedWires: 4, fuseProtects: false });
    expect(plan.asks).toEqual(
      asked(/^The 12 A fuse does not protect this wire, which may carry/, {
        on: 'circuit',
        circuitId: 'C1',
        field: 'fuseA',
      }),
    );
  });
});

describe('what is not there is ordered by number, name and range', () => {
  it('nothing on the shelf at all', () => {
    const plan = onlyFinding({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, catalogue: EMPTY });
    expect(plan).toMatchObject({
      approach: 'oneSplice',
      chosen: 'sealedButt',
      asks: asked(/^Order 1 × Sealed butt, middle: 1.04–2.63 mm²/, { on: 'shelf', name: 'Sealed butt, middle' }),
    });
  });
  it('two of one part for an insert', () =>
    expect(onlyFinding({ kind: 'parted' }, { zone: WET_SHAKING, catalogue: EMPTY }).asks[0]?.words).toMatch(
      /^Order 2 × Sealed butt, middle/,
    ));
});

describe('nothing is possible: what would make it possible, the nearest first, and the maker at last', () => {
  it('a wire that no part holds', () => {
    const { approach, asks } = onlyFinding({ kind: 'parted', slackMm: 40 }, { circuits: [{ wire: wire(200) }] });
    expect(approach).toBe('byHand');
    expect(asks.at(-1)?.words).toMatch(/ask the maker/i);
  });
  it('slack that nobody measured is measured first', () => {
    const options = { zone: WET_SHAKING, lengthMm: 70 };
    const { approach, asks } = onlyFinding({ kind: 'parted', fromMm: 20, toMm: 60, slackMm: undefined }, options);
    expect(approach).toBe('byHand');
    expect(asks[0]).toMatchObject({ does: 'measure', at: { on: 'finding', findingId: 'F1', field: 'slackMm' } });
  });
});

describe('a refusal leads to the field that lifts it', () => {
  const finding = onlyOf({ kind: 'parted' });
  test.each([
    ['sleeve.cannotSlide', { on: 'finding', findingId: 'F1', field: 'freedEndMm' }],
    ['way.slack', { on: 'finding', findingId: 'F1', field: 'slackMm' }],
    ['solder.vibrating', { on: 'run', runId: 'R1', field: 'vibration' }],
    ['rated.under', { on: 'run', runId: 'R1', field: 'ambientC' }],
    ['vapour.hotAir', { on: 'gate', entry: 'vapour' }],
    ['end.amps', { on: 'circuit', circuitId: 'C1', field: 'loadA' }],
    ['practice.crimpOnly', { on: 'practice' }],
    ['end.use', undefined],
    ['prefer.fewestSplices', undefined],
  ])('%s', (ruleId, field) => expect(liftedAt(ruleId, finding)).toEqual(field));
  it('of a cavity, to its connector', () => {
    expect(liftedAt('end.use', at('terminalDamaged'))).toEqual({ on: 'fitting', nodeId: 'X2', cavity: '1' });
    expect(liftedAt('way.lockUnknown', at('housingBroken'))).toEqual({ on: 'node', nodeId: 'X2', field: 'lock' });
  });
});

function onlyOf(finding: Partial<Finding> & { readonly kind: Finding['kind'] }): Finding {
  const [only] = jobWith([finding]).findings;
  if (!only) throw new Error('no finding');
  return only;
}

const isPraise = ({ verdict }: { readonly verdict: string }): boolean => verdict === 'prefer';

describe('no plan is silent: whatever cannot be made now says what to do', () => {
  const zones: readonly Zone[] = [
    DRY_CABIN,
    WET_SHAKING,
    { ...WET_SHAKING, fuelVapour: true },
    { ...DRY_CABIN, ambientC: 190 },
  ];
  const wires = [wire(0.13), wire(0.75, { conductor: { kind: 'solid' } }), wire(2.5), wire(35), wire(107), wire(200)];
  const shelves = [FULL_SHELF, EMPTY, NO_TOOLS];
  const kinds = FINDING_KINDS.filter((kind) => !isCavityKind(kind));
  const own = { strandsLost: 3, strandsTotal: 19, branchWires: [wire(1)] };
  test.each(
    shelves.flatMap((catalogue) =>
      [CRIMP_FIRST, CRIMP_ONLY, BENCH_SOLDER].map((practice) => [practice.name, catalogue, practice] as const),
    ),
  )('%s, shelf %#', (_, catalogue, practice) => {
    for (const zone of zones)
      for (const spec of wires) {
        const options = { zone, catalogue, practice, circuits: [{ wire: spec }] };
        const plans = [
          ...kinds.map((kind) => onlyFinding({ kind, slackMm: 2, ...own }, options)),
          ...CAVITY_FINDING_KINDS.map((kind) => planned(at(kind), options)),
        ];
        for (const { approach, asks, splices, cavity, cover, headline, ways, ranked } of plans) {
          const isMade = splices.length > 0 || cavity !== undefined || cover !== undefined;
          if (approach === 'byHand' || !isMade) expect(asks.length, headline).toBeGreaterThan(0);
          for (const { words, at: where } of asks) {
            expect(words, headline).toMatch(/^[A-Z0-9].{15}/);
            expect(where, words).toBeDefined();
          }
          const praise = ranked.flatMap(({ hits }) => hits.filter(isPraise).map(({ because }) => because));
          for (const way of ways)
            if (way.status === 'refused') expect(praise, `${way.way}: ${headline}`).not.toContain(way.because);
        }
      }
  });
  it('a procedure that nobody named is asked for at the gate', () => {
    const { findings } = planOf(jobWith([{ kind: 'parted' }], { circuits: [{ kind: 'airbag' }] }));
    expect(findings[0]?.asks).toEqual(asked(/^Name the procedure/, { on: 'gate', entry: 'airbag' }));
  });
});

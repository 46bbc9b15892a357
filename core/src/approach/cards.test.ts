import { describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { CAVITY_FINDING_KINDS, cavityKindOf, type Finding } from '../damage/index.ts';
import type { Zone } from '../harness/index.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, onlyFinding, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import { cardText } from './test/card.ts';
import { at, planned, type At } from './test/atCavity.ts';

type Found = Partial<Finding> & { readonly kind: Finding['kind'] };
type Example = readonly [title: string, finding: Found, options?: CaseOptions];

const VAPOUR: Zone = { ...WET_SHAKING, fuelVapour: true };
const AIRED = {
  gate: {
    isolation: { how: 'provedDead', by: 'Ines', at: '2030-01-01T08:00:00Z' },
    vapour: { reading: '0 %', by: 'Ines', at: '2030-01-01T08:00:00Z' },
  },
} as const;
const EMPTY: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) };
const one = (areaMm2: number, more: object = {}) => [{ wire: wire(areaMm2), ...more }];
const flex = (fromMm: number, toMm: number) => [{ kind: 'flex' as const, name: 'Boom hinge', fromMm, toMm }];
const grommets = (...places: readonly number[]) =>
  places.map((mm, index) => ({
    kind: index % 2 ? ('grommet' as const) : ('branch' as const),
    name: `G${index}`,
    fromMm: mm - 5,
    toMm: mm + 5,
  }));

const RUNS: readonly Example[] = [
  ['parted, slack enough', { kind: 'parted', slackMm: 30 }, { zone: WET_SHAKING }],
  ['parted, slack to the millimetre', { kind: 'parted', slackMm: 12 }, { zone: WET_SHAKING }],
  ['parted, one millimetre short', { kind: 'parted', slackMm: 11 }, { zone: WET_SHAKING }],
  ['parted, slack not measured', { kind: 'parted', slackMm: undefined }, { zone: WET_SHAKING }],
  ['parted, no slack, dry', { kind: 'parted' }, { zone: DRY_CABIN, circuits: one(1, { kind: 'signal' }) }],
  ['parted with cut-back', { kind: 'parted', cutBackLeftMm: 8, cutBackRightMm: 5, slackMm: 40 }, { zone: WET_SHAKING }],
  [
    'parted, another wire beyond',
    { kind: 'parted', slackMm: 40, farWire: wire(1) },
    { zone: WET_SHAKING, circuits: one(2.5, { fuseA: 20, loadA: 9 }) },
  ],
  ['parted, an insert asked for that is smaller', { kind: 'parted', insertWire: wire(1) }, { circuits: one(2.5) }],
  ['parted beside the connector, room on the run', { kind: 'parted', fromMm: 20, toMm: 30 }, { zone: WET_SHAKING }],
  [
    'parted beside the connector, no room',
    { kind: 'parted', fromMm: 20, toMm: 30 },
    { zone: WET_SHAKING, lengthMm: 70 },
  ],
  [
    'parted between a branch and a grommet',
    { kind: 'parted', slackMm: 40 },
    { zone: WET_SHAKING, features: grommets(400, 620) },
  ],
  ['parted in a stretch that bends', { kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, features: flex(450, 600) }],
  ['parted in vapour', { kind: 'parted', slackMm: 40 }, { zone: VAPOUR }],
  ['parted in vapour, aired', { kind: 'parted', slackMm: 40 }, { zone: VAPOUR, ...AIRED }],
  ['parted at 130 °C', { kind: 'parted', slackMm: 40 }, { zone: { ...WET_SHAKING, ambientC: 130 } }],
  ['parted, tight conduit', { kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, conduitInsideMm: 5 }],
  [
    'parted, part not there',
    { kind: 'parted', slackMm: 40 },
    { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') },
  ],
  ['parted, nothing there', { kind: 'parted' }, { zone: WET_SHAKING, catalogue: EMPTY }],
  [
    'parted, bench that solders',
    { kind: 'parted', slackMm: 40 },
    { zone: DRY_CABIN, practice: BENCH_SOLDER, circuits: one(1) },
  ],
  ['parted, crimp only', { kind: 'parted', slackMm: 40 }, { zone: DRY_CABIN, practice: CRIMP_ONLY, circuits: one(1) }],
  ['parted, data pair', { kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, circuits: one(0.5, { kind: 'data' }) }],
  ['parted, shielded', { kind: 'parted' }, { zone: DRY_CABIN, circuits: one(0.5, { kind: 'shielded' }) }],
  [
    'parted, thin solid wire',
    { kind: 'parted', slackMm: 40 },
    { zone: DRY_CABIN, circuits: [{ wire: wire(0.5, { conductor: { kind: 'solid' } }) }] },
  ],
  ['parted, 35 mm²', { kind: 'parted', slackMm: 60 }, { zone: WET_SHAKING, circuits: one(35) }],
  ['parted, temporary', { kind: 'parted', slackMm: 40, temporaryUntil: '2030-02-01' }, { zone: WET_SHAKING }],
  [
    'fuse too large',
    { kind: 'parted', slackMm: 40 },
    { zone: WET_SHAKING, circuits: one(0.5, { fuseA: 25, loadA: 8 }) },
  ],
  ['corroded', { kind: 'corroded', slackMm: 40, cutBackLeftMm: 10, cutBackRightMm: 10 }, { zone: WET_SHAKING }],
  ['cooked, cause not noted', { kind: 'cooked', slackMm: 40 }, { zone: { ...WET_SHAKING, ambientC: 115 } }],
  ['cooked, cause noted', { kind: 'cooked', slackMm: 40, note: 'Bearing dry.' }, { zone: WET_SHAKING }],
  [
    'an earlier bad repair',
    { kind: 'poorRepair', slackMm: 40, sort: 'clampTap', branchWires: [wire(1)] } as never,
    { zone: WET_SHAKING },
  ],
  [
    'strands lost on power',
    { kind: 'strandsLost', strandsLost: 6, strandsTotal: 19, slackMm: 40 } as never,
    { zone: WET_SHAKING, circuits: one(1.5, { fuseA: 15 }) },
  ],
  [
    'one strand of a signal',
    { kind: 'strandsLost', strandsLost: 1, strandsTotal: 19, slackMm: 40, freedEndMm: 2 } as never,
    { zone: DRY_CABIN, circuits: one(0.75, { kind: 'signal' }) },
  ],
  ['airbag', { kind: 'parted' }, { circuits: one(0.5, { kind: 'airbag' }) }],
];

const COVERS: readonly Example[] = [
  ['jacket rubbed, an end can be freed', { kind: 'jacketRubbed', freedEndMm: 5 }, { zone: WET_SHAKING }],
  ['jacket rubbed, no free end, wet', { kind: 'jacketRubbed' }, { zone: WET_SHAKING }],
  ['jacket rubbed, no free end, dry', { kind: 'jacketRubbed' }, { zone: DRY_CABIN }],
  ['jacket rubbed in vapour', { kind: 'jacketRubbed', freedEndMm: 5 }, { zone: VAPOUR }],
  ['jacket rubbed at 130 °C', { kind: 'jacketRubbed', freedEndMm: 5 }, { zone: { ...WET_SHAKING, ambientC: 130 } }],
  ['jacket rubbed, nothing there', { kind: 'jacketRubbed', freedEndMm: 5 }, { zone: WET_SHAKING, catalogue: EMPTY }],
  [
    'jacket rubbed where it bends',
    { kind: 'jacketRubbed', slackMm: 40 },
    { zone: WET_SHAKING, features: flex(450, 600) },
  ],
  ['jacket gone over too much', { kind: 'jacketRubbed', fromMm: 400, toMm: 560 }, { zone: WET_SHAKING }],
];

const ADDED: readonly Example[] = [
  [
    'a circuit added, cut and joined',
    { kind: 'addCircuit', slackMm: 30, branchWires: [wire(1)] } as never,
    { zone: WET_SHAKING },
  ],
  [
    'a circuit added, the main wire stays whole, dry',
    { kind: 'addCircuit', mainUncut: true, branchWires: [wire(1)] } as never,
    { zone: DRY_CABIN },
  ],
  [
    'the same, an end can be freed, wet',
    { kind: 'addCircuit', mainUncut: true, freedEndMm: 3, branchWires: [wire(2.5)] } as never,
    { zone: WET_SHAKING },
  ],
  [
    'the same, temporary',
    { kind: 'addCircuit', mainUncut: true, temporaryUntil: '2030-02-01', branchWires: [wire(2.5)] } as never,
    { zone: DRY_CABIN },
  ],
  [
    'four wires meet',
    { kind: 'addCircuit', slackMm: 30, branchWires: [wire(0.5), wire(0.5)] } as never,
    { zone: WET_SHAKING, circuits: one(1) },
  ],
  [
    'an added wire too thin for the fuse',
    { kind: 'addCircuit', slackMm: 30, branchWires: [wire(0.35)] } as never,
    { zone: WET_SHAKING, circuits: one(2.5, { fuseA: 25 }) },
  ],
];

const text = (examples: readonly Example[]): string =>
  examples.map(([title, finding, options]) => cardText(title, onlyFinding(finding, options ?? {}))).join('\n');

/** Where a cavity is, by what is known and there: each is tried with every kind of damage at a cavity. */
const PLACES: readonly (readonly [title: string, options: At, more: object])[] = [
  [
    'wet, everything known and there, slack 25',
    { zone: WET_SHAKING, terminal: '2.8', circuits: one(1.5, { loadA: 4 }), node: { lock: 'frontLance' } as never },
    { slackMm: 25 },
  ],
  ['dry, nothing known, slack not measured', { zone: DRY_CABIN, circuits: one(1) }, {}],
  [
    'wet, no terminals on the shelf',
    {
      zone: WET_SHAKING,
      terminal: '1.5',
      circuits: one(1),
      catalogue: shelfWithout(...FULL_SHELF.parts.filter(({ kind }) => kind === 'terminal').map(({ id }) => id)),
    },
    { slackMm: 25 },
  ],
  [
    'vapour, short run, wire lost behind',
    { zone: VAPOUR, terminal: '2.8', circuits: one(1.5), lengthMm: 70 },
    { slackMm: 4, cutBackLeftMm: 6, fromMm: 69, toMm: 70 },
  ],
  [
    'a stud, nothing on the shelf',
    {
      zone: WET_SHAKING,
      circuits: one(4),
      catalogue: EMPTY,
      node: { kind: 'end', ways: undefined, fittings: { 1: { use: 'stays', stud: 'M8' } } },
    },
    { slackMm: 25 },
  ],
];

describe('worked cards, word for word: what a technician is told', () => {
  it('damage along a run', () => expect(text(RUNS)).toMatchFileSnapshot('./test/cards/run.md'));
  it('covers', () => expect(text(COVERS)).toMatchFileSnapshot('./test/cards/cover.md'));
  it('circuits that are added', () => expect(text(ADDED)).toMatchFileSnapshot('./test/cards/added.md'));
  it.each(PLACES.map(([title, options, more], index) => [title, options, more, index] as const))(
    'at a cavity: %s',
    (title, options, more, index) => {
      const cards = CAVITY_FINDING_KINDS.flatMap((kind) =>
        [undefined, ...Object.keys(cavityKindOf(kind).sorts ?? {})].map((sort) =>
          cardText(
            `${kind}${sort === undefined ? '' : `, ${sort}`}`,
            planned(at(kind, { ...more, ...(sort === undefined ? {} : { sort }) }), options),
          ),
        ),
      );
      return expect(`# At a cavity: ${title}\n\n${cards.join('\n')}`).toMatchFileSnapshot(
        `./test/cards/cavity${index + 1}.md`,
      );
    },
  );
});

import fc from 'fast-check';
import { expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { AREAS, CIRCUIT_KINDS, MOISTURES, VIBRATIONS, type Feature } from '../harness/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, wire } from '../test/samples.ts';
import type { Job } from '../job/index.ts';
import { plan, warm } from './index.ts';

/** The full shelf, half of it gone: so that what lacks and what stands in are ranked as well. */
const HALF: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part, at) => (at % 2 ? { ...part, quantity: 0 } : part)),
};

const features = fc.constantFrom<readonly Feature[]>(
  [],
  [{ kind: 'flex', name: 'arm', fromMm: 300, toMm: 480 }],
  [{ kind: 'branch', name: 'B1', fromMm: 455, toMm: 455 }],
  [
    { kind: 'clip', name: 'K1', fromMm: 440, toMm: 450 },
    { kind: 'grommet', name: 'G1', fromMm: 560, toMm: 570 },
  ],
);
const anyJob = fc
  .record({
    area: fc.constantFrom(...AREAS),
    vibration: fc.constantFrom(...VIBRATIONS),
    moisture: fc.constantFrom(...MOISTURES),
    fuelVapour: fc.boolean(),
    ambientC: fc.constantFrom(undefined, 60, 110, 126, 140),
    features,
    conduitInsideMm: fc.constantFrom(undefined, 4, 6, 13),
    kind: fc.constantFrom(...CIRCUIT_KINDS.filter((kind) => kind !== 'airbag' && kind !== 'highVoltage')),
    own: fc.constantFrom(0.22, 0.5, 1, 2.5, 4),
    far: fc.constantFrom(undefined, 0.5, 2.5),
    asked: fc.constantFrom(undefined, 4),
    solid: fc.boolean(),
    fromMm: fc.integer({ min: 20, max: 940 }),
    lostMm: fc.integer({ min: 1, max: 40 }),
    slackMm: fc.constantFrom(undefined, 0, 12, 30, 80),
    loadA: fc.constantFrom(undefined, 1, 8, 15),
    temporary: fc.boolean(),
    adds: fc.constantFrom('no' as const, 'cut' as const, 'whole' as const),
    freed: fc.constantFrom(undefined, 5),
  })
  .map((of): Job => {
    const { area, vibration, moisture, fuelVapour, ambientC } = of;
    return jobWith(
      [
        {
          ...(of.adds === 'no'
            ? { kind: 'parted' as const }
            : { kind: 'addCircuit' as const, branchWires: [wire(0.5)], mainUncut: of.adds === 'whole' }),
          fromMm: of.fromMm,
          toMm: of.fromMm + of.lostMm,
          slackMm: of.slackMm,
          freedEndMm: of.freed,
          ...(of.far === undefined ? {} : { farWire: wire(of.far) }),
          ...(of.asked === undefined ? {} : { insertWire: wire(of.asked) }),
          ...(of.temporary ? { temporaryUntil: '2031-01-01' } : {}),
        },
      ],
      {
        zone: { area, vibration, moisture, fuelVapour, ...(ambientC === undefined ? {} : { ambientC }) },
        features: of.features,
        ...(of.conduitInsideMm === undefined ? {} : { conduitInsideMm: of.conduitInsideMm }),
        circuits: [
          {
            kind: of.kind,
            wire: wire(of.own, of.solid ? { conductor: { kind: 'solid' } } : {}),
            ...(of.loadA === undefined ? {} : { loadA: of.loadA }),
          },
        ],
      },
    );
  });

it.each([
  ['a full shelf', FULL_SHELF],
  ['half a shelf', HALF],
])('what is remembered of other places changes no answer: %s', (_name, shelf) => {
  const memory = warm(CRIMP_FIRST, shelf);
  fc.assert(
    fc.property(anyJob, (job) => {
      expect(plan(job, CRIMP_FIRST, shelf, memory)).toEqual(plan(job, CRIMP_FIRST, shelf));
    }),
    { seed: 17, numRuns: 250 },
  );
});

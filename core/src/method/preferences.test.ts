import { describe, expect, test } from 'vitest';
import { BENCH_SOLDER } from '../practice/index.ts';
import { wire } from '../test/samples.ts';
import { caseOf, hand, ratchet, sleeve } from './test/caseOf.ts';
import { PREFERENCES } from './index.ts';
import type { MethodCase } from './types.ts';

const UP_TO_6 = caseOf('clipSleeve').joints.map((joint) => ({ ...joint, upperLimitMm2: 6 }));

/** Of every preference a case that it holds something against, how much, and one that it does not. */
const HELD: Readonly<Record<string, readonly (readonly [number, MethodCase])[]>> = {
  'prefer.fewestSplices': [
    [1, caseOf('clipSleeve')],
    [2, caseOf('clipSleeve', { case: { splices: 2 } })],
  ],
  'prefer.builtInSeal': [
    [0, caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 60 } })],
    [1, caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 59 } })],
    [0, caseOf('sealedButt', { case: { freeMm: 1 } })],
    [1, caseOf('cap', { case: { freeMm: 77 } })],
    [0, caseOf('cap', { case: { freeMm: 78 } })],
  ],
  'prefer.benchSolder': [
    [1, caseOf('clipSleeve', { practice: BENCH_SOLDER })],
    [0, caseOf('wrappedSolder', { practice: BENCH_SOLDER, case: { firstOfSoldered: true } })],
    [1, caseOf('lapSolder', { practice: BENCH_SOLDER })],
    [0, caseOf('clipSleeve')],
  ],
  'prefer.slimClip': [
    [1, caseOf('sealedButt', { site: { conduitMarginMm: 1.99 } })],
    [0, caseOf('sealedButt', { site: { conduitMarginMm: 2 } })],
    [0, caseOf('sealedButt')],
    [0, caseOf('clipSleeve', { site: { conduitMarginMm: 1 } })],
    [0, caseOf('sealedButt', { site: { conduitMarginMm: 1 }, zone: { moisture: 'damp' } })],
    [1, caseOf('sealedButt', { site: { circuitKind: 'lowLevel', wire: wire(0.5) } })],
    [1, caseOf('sealedButt', { site: { circuitKind: 'data', wire: wire(0.52) } })],
    [0, caseOf('sealedButt', { site: { circuitKind: 'data', wire: wire(0.53) } })],
    [0, caseOf('sealedButt', { site: { circuitKind: 'signal', wire: wire(0.5) } })],
  ],
  'prefer.solidFolded': [
    [0, caseOf('sealedButt')],
    [1, caseOf('clipSleeve', { site: { wire: wire(1.5, { conductor: { kind: 'solid' } }) } })],
    [
      0,
      caseOf('sealedButt', {
        site: { wire: wire(1.5, { conductor: { kind: 'solid' } }) },
        joint: { left: { stripMm: 14, folded: true } },
      }),
    ],
  ],
  'prefer.stepDown': [
    [1, caseOf('clipSleeve', { site: { farWire: wire(4) } })],
    [0, caseOf('stepDown', { site: { farWire: wire(4) } })],
    [0, caseOf('clipSleeve')],
    [
      0,
      caseOf('clipSleeve', {
        site: { farWire: wire(2.5) },
        case: { facts: { byId: new Map(), bestSleeveC: 125, bores: [{ minMm2: 1.04, maxMm2: 2.63 }] } },
      }),
    ],
    [
      1,
      caseOf('clipSleeve', {
        site: { farWire: wire(4) },
        case: { facts: { byId: new Map(), bestSleeveC: 125, bores: [{ minMm2: 1.04, maxMm2: 2.63 }] } },
      }),
    ],
    [0, caseOf('clipSleeve', { site: { farWire: wire(4), branchWires: [wire(1)] } })],
  ],
  'prefer.unfolded': [
    [1, caseOf('sealedButt', { joint: { right: { stripMm: 14, folded: true } } })],
    [0, caseOf('sealedButt')],
    [
      0,
      caseOf('sealedButt', {
        joint: { right: { stripMm: 14, folded: true } },
        site: { wire: wire(1.5, { conductor: { kind: 'solid' } }) },
      }),
    ],
  ],
  'prefer.clipForMany': [
    [1, caseOf('sealedButt', { site: { branchWires: [wire(1)] } })],
    [0, caseOf('clipSleeve', { site: { branchWires: [wire(1)] } })],
    [0, caseOf('sealedButt')],
  ],
  'prefer.threeEnds': [
    [1, caseOf('windowClipSleeve')],
    [0, caseOf('clipSleeve')],
  ],
  'prefer.lowestLimit': [
    [6, caseOf('clipSleeve', { site: { branchWires: [wire(1)] }, case: { joints: UP_TO_6 } })],
    [0, caseOf('clipSleeve', { case: { joints: UP_TO_6 } })],
    [0, caseOf('sealedButt', { site: { branchWires: [wire(0.5)] }, case: { joints: UP_TO_6 } })],
    [0, caseOf('clipSleeve', { site: { branchWires: [wire(1)] }, case: { joints: [] } })],
  ],
  'prefer.order': [
    [1, caseOf('sealedButt')],
    [10, caseOf('wrappedSolder')],
    [11, caseOf('interlacedSolder')],
    [10, caseOf('wrappedSolder', { site: { wire: wire(0.35), farWire: wire(0.35) } })],
    [11, caseOf('wrappedSolder', { site: { wire: wire(0.34), farWire: wire(0.34) } })],
    [10, caseOf('wrappedSolder', { site: { farWire: wire(2.55) } })],
    [11, caseOf('wrappedSolder', { site: { farWire: wire(2.56) } })],
    [10, caseOf('interlacedSolder', { site: { farWire: wire(2.56) } })],
  ],
  'prefer.ratchet': [
    [1, caseOf('clipSleeve', { case: { tools: [hand] } })],
    [0, caseOf('clipSleeve', { case: { tools: [ratchet] }, site: { asOf: '2030-05-01' } })],
    [1, caseOf('clipSleeve', { case: { tools: [ratchet] }, site: { asOf: '2030-05-02' } })],
    [0, caseOf('clipSleeve', { case: { tools: [ratchet] } })],
    [
      1,
      caseOf('clipSleeve', {
        case: { tools: [{ ...ratchet, calibratedUntil: undefined }] },
        site: { asOf: '2030-05-02' },
      }),
    ],
    [0, caseOf('clipSleeve', { case: { tools: [{ ...hand, tasks: ['hotAir'] }] } })],
  ],
  'prefer.fewerSteps': [
    [6, caseOf('sealedButt')],
    [7, caseOf('clipSleeve')],
    [8, caseOf('plainSleeve')],
  ],
  'prefer.shorter': [
    [4, caseOf('sealedButt')],
    [5, caseOf('clipSleeve')],
    [6, caseOf('plainSleeve')],
    [2, caseOf('piercingTap')],
    [8, caseOf('heavySleeve')],
  ],
  'prefer.slimmer': [
    [5.2, caseOf('sealedButt')],
    [0, caseOf('sealedButt', { case: { joints: [] } })],
  ],
};

describe('every preference weighs what it says', () => {
  test.each(PREFERENCES.map(({ id }) => [id] as const))('%s', (id) => {
    const held = HELD[id] ?? [];
    const preference = PREFERENCES.find((one) => one.id === id)!;
    expect(held.length, 'a preference without an example').toBeGreaterThan(1);
    expect(held.map(([, where]) => preference.penalty(where))).toEqual(held.map(([penalty]) => penalty));
  });
});

import { expect, test } from 'vitest';
import { BENCH_SOLDER } from '../practice/index.ts';
import { wire } from '../test/samples.ts';
import { PREFERENCES } from './index.ts';
import { caseOf } from './test/caseOf.ts';
import type { MethodCase } from './types.ts';

const WET = { zone: { moisture: 'wet' } } as const;
const thick = (id: Parameters<typeof caseOf>[0], bodyDiameterMm: number, put: Parameters<typeof caseOf>[1] = {}) =>
  caseOf(id, { ...put, joint: { ...put.joint, bodyDiameterMm } });
const four = { farWire: wire(4) } as const;
const limit = (upperLimitMm2: number, sides?: string): MethodCase =>
  caseOf('clipSleeve', {
    joint: { upperLimitMm2, fitsWords: 'Clip 2–8', sides },
  });

/** What the one in front is praised for, and what the other is told: a sentence of its own, or none. */
test.each<[rule: string, better: MethodCase, worse: MethodCase, because: string, against?: string]>([
  [
    'prefer.fewestSplices',
    caseOf('sealedButt'),
    caseOf('clipSleeve', { case: { splices: 2 }, joint: { reach: { kind: 'lapped', lapMm: 9 } } }),
    'Splice clip + adhesive sleeve takes a lap of 9 mm as well and would need two splices; this one does it with one.',
    'It would need two splices.',
  ],
  [
    'prefer.fewestSplices',
    caseOf('sealedButt', { case: { splices: 2 } }),
    caseOf('plainSleeve', { case: { splices: 2 } }),
    'Plain barrel + adhesive sleeve would need two splices.',
    'It would need two splices.',
  ],
  [
    'prefer.fewestSplices',
    caseOf('sealedButt'),
    caseOf('wrappedSolder', { case: { splices: 2 }, joint: { reach: { kind: 'lapped', lapMm: 0 } } }),
    'Wrapped solder + adhesive sleeve would need two splices; this one does it with one.',
    'It would need two splices.',
  ],
  [
    'prefer.benchSolder',
    caseOf('wrappedSolder', { practice: BENCH_SOLDER }),
    caseOf('clipSleeve', { practice: BENCH_SOLDER }),
    'Bench solder practice, and the run stands still and dry: a wrapped, soldered joint is slim and lasts.',
  ],
  [
    'prefer.benchSolder',
    caseOf('solderSleeve', { practice: BENCH_SOLDER, ...WET }),
    caseOf('clipSleeve', { practice: BENCH_SOLDER, ...WET }),
    'Bench solder practice, and the run stands still: a soldered joint is slim and lasts.',
  ],
  [
    'prefer.slimClip',
    caseOf('clipSleeve', { site: { conduitMarginMm: 1.5 } }),
    caseOf('sealedButt'),
    'The conduit leaves only 1.5 mm: a clip is the slimmest.',
  ],
  [
    'prefer.slimClip',
    caseOf('clipSleeve', { site: { circuitKind: 'data', wire: wire(0.5) } }),
    caseOf('sealedButt'),
    'A data wire in a dry run: a clip is short and slim, with nothing to disturb it.',
  ],
  [
    'prefer.slimClip',
    caseOf('clipSleeve', { site: { circuitKind: 'lowLevel', wire: wire(0.5) } }),
    caseOf('sealedButt'),
    'A low-level wire in a dry run: a clip is short and slim, with nothing to disturb it.',
  ],
  [
    'prefer.stepDown',
    caseOf('stepDown', { site: four }),
    caseOf('clipSleeve', { site: four }),
    '1.5 against 4 mm², and no one barrel holds both: a step-down grips each in a bore of its own.',
  ],
  [
    'prefer.clipForMany',
    caseOf('clipSleeve', { site: { branchWires: [wire(1), wire(1)] } }),
    caseOf('sealedButt'),
    '4 wires meet: side by side in a clip all of them lie under the crimp.',
  ],
  [
    'prefer.lowestLimit',
    limit(8, '2 + 2'),
    limit(14),
    'Clip 2–8: its upper limit of 8 mm² is nearer than 14, so the crimp closes tighter; sides 2 + 2.',
    'Its upper limit of 14 mm² is further off than 8, so the crimp closes less tightly.',
  ],
  [
    'prefer.lowestLimit',
    limit(8),
    limit(14),
    'Clip 2–8: its upper limit of 8 mm² is nearer than 14, so the crimp closes tighter.',
    'Its upper limit of 14 mm² is further off than 8, so the crimp closes less tightly.',
  ],
  [
    'prefer.order',
    caseOf('sealedButt', WET),
    caseOf('clipSleeve', WET),
    'The run gets wet, and its seal is built in: one step fewer and no sleeve to forget.',
    '0.3 mm slimmer, but needs a sleeve slid on first: one step more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5.2),
    thick('plainSleeve', 5.2),
    'Its seal is built in: two steps fewer and no sleeve to forget.',
    'As sound, but needs a sleeve slid on first: two steps more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5.2),
    thick('clipSleeve', 4.4),
    'Its seal is built in: one step fewer and no sleeve to forget.',
    '0.8 mm slimmer, but needs a sleeve slid on first: one step more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5.25),
    thick('clipSleeve', 5.21),
    'Its seal is built in: one step fewer and no sleeve to forget.',
    'As sound, but needs a sleeve slid on first: one step more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5.2),
    thick('clipWrap', 5.2),
    'Its seal is built in: one step fewer.',
    'As sound, but needs a wrapped seal: one step more.',
  ],
  ['prefer.order', thick('sealedButt', 5.2), thick('stepDown', 5.2), 'As sound, and the more usual of the two.'],
  ['prefer.order', thick('stepDown', 5.2), thick('cap', 5.2), 'Its seal is built in.', 'As sound, but has no seal.'],
  [
    'prefer.order',
    thick('clipSleeve', 4),
    thick('wrappedSolder', 3),
    'A crimp is a cold weld with nothing to wick; solder comes after it here.',
    'Solder comes after a crimp here, and this needs a sleeve slid on first: two steps more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5),
    thick('wrappedSolder', 3),
    'Its seal is built in: three steps fewer and no sleeve to forget.',
    'Solder comes after a crimp here, and this needs a sleeve slid on first: three steps more.',
  ],
  [
    'prefer.order',
    thick('sealedButt', 5),
    thick('solderSleeve', 5),
    'A crimp is a cold weld with nothing to wick; solder comes after it here.',
    'Solder comes after a crimp here.',
  ],
  [
    'prefer.order',
    thick('clipSleeve', 4),
    thick('plainSleeve', 5),
    'As sound, and 1 mm slimmer, one step fewer.',
    'As sound, but needs a sleeve slid on first: one step more.',
  ],
  [
    'prefer.order',
    thick('plainSleeve', 5),
    thick('clipSleeve', 5),
    'As sound, and the more usual of the two.',
    'As sound, but needs a sleeve slid on first.',
  ],
  ['prefer.order', thick('wrappedSolder', 5), thick('lapSolder', 4), 'As sound, and the more usual of the two.'],
  ['prefer.fewerSteps', caseOf('sealedButt'), caseOf('plainSleeve'), 'As sound, and two steps fewer.'],
  ['prefer.shorter', caseOf('sealedButt'), caseOf('clipSleeve'), 'As sound, and one minute less.'],
  ['prefer.slimmer', thick('sealedButt', 4), thick('clipSleeve', 4.6), 'As sound, and 0.6 mm slimmer.'],
  [
    'prefer.slimmer',
    caseOf('sealedButt', { case: { joints: [] } }),
    thick('clipSleeve', 4.6),
    'As sound, and 4.6 mm slimmer.',
  ],
])('%s: %#', (id, better, worse, because, against) => {
  const rule = PREFERENCES.find((one) => one.id === id)!;
  expect([rule.because(better, worse), rule.against?.(better, worse)]).toEqual([because, against]);
});

test('no preference is silent, and none counts below nothing', () => {
  for (const rule of PREFERENCES) {
    const [one, other] = [caseOf('piercingTap'), caseOf('heavySleeve')];
    for (const words of [rule.because(one, other), rule.against?.(one, other) ?? 'none.']) {
      expect(words).toMatch(/\.$/);
      expect(words).not.toMatch(/-\d|undefined|NaN/);
    }
  }
});

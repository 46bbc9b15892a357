import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { FindingPlan } from '../plan/index.ts';
import { DRY_CABIN, jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import type { Redo } from './redoTypes.ts';
import type { Choice } from './types.ts';

interface Of extends CaseOptions {
  readonly choice?: Choice['use'];
  readonly redos?: readonly Redo[];
  readonly others?: readonly Partial<Finding>[];
}
/** The plan of the first finding of a job. */
function planned(finding: Partial<Finding> & { readonly kind: Finding['kind'] }, of: Of = {}): FindingPlan {
  const { choice, redos = [], others = [], ...options } = of;
  const job = jobWith([finding, ...(others as never[])], options);
  const choices: Choice[] = choice
    ? [{ findingId: 'F1', use: choice, reason: 'why', by: 'Ines', at: '2030-01-01T08:00:00Z' }]
    : [];
  return planOf({ ...job, choices, redos }, options).findings[0]!;
}
const RUBBED = { kind: 'jacketRubbed', freedEndMm: 5, slackMm: 40 } as const;
const redo = (findingId: string): Redo => ({
  id: 'r',
  findingId,
  lostFromMm: 495,
  lostToMm: 520,
  because: 'it split',
  by: 'Ines',
  at: '2030-01-01T08:00:00Z',
});
const NOT_ANY_MORE = /The choice of Ines can no longer be used here/;

describe('at the gate', () => {
  it.each([
    [
      'airbag',
      "No plan for an airbag or belt circuit until the maker's procedure or a qualified person is named at the gate.",
    ],
    ['highVoltage', "No plan for high voltage until the maker's procedure or a qualified person is named at the gate."],
  ] as const)('%s: stopped, until its procedure is named', (kind, because) => {
    const plan = planned({ kind: 'parted' }, { circuits: [{ kind }] });
    expect(plan).toMatchObject({ approach: 'stopped', because: [because], splices: [], ranked: [], ways: [] });
    expect(plan.asks).toEqual([
      { does: 'note', words: 'Name the procedure at the gate', at: { on: 'gate', entry: kind } },
    ]);
    const gate = {
      isolation: { how: 'provedDead', by: 'Ines', at: '2030-01-01T08:00:00Z' },
      [kind]: { procedure: 'SRS-4', by: 'Ines', at: '2030-01-01T08:00:00Z' },
    } as never;
    expect(planned({ kind: 'parted' }, { circuits: [{ kind }], gate })).toMatchObject({
      approach: 'procedure',
      because: ['Only what the named procedure says: SRS-4.'],
      asks: [],
    });
  });
});

describe('a cover', () => {
  it('nobody chose: the first, with its reasons', () => {
    const plan = planned(RUBBED, { zone: DRY_CABIN });
    expect(plan).toMatchObject({ approach: 'cover', cover: { coverId: 'sleeveCover' }, warnings: [], asks: [] });
    expect(plan.chosenBy).toBeUndefined();
    expect(plan.because).toEqual([
      'Copper whole, all strands there: cover it.',
      plan.covers.find(({ coverId }) => coverId === 'sleeveCover')?.because,
    ]);
  });
  it('another that may be used is taken, in the name of who chose it', () =>
    expect(planned(RUBBED, { zone: DRY_CABIN, choice: 'clothWrap' })).toMatchObject({
      cover: { coverId: 'clothWrap' },
      chosenBy: { by: 'Ines', use: 'clothWrap' },
    }));
  it('one that is refused gives way to the first, and that is said', () => {
    const plan = planned(RUBBED, { zone: WET_SHAKING, choice: 'clothWrap' });
    expect(plan.cover?.coverId).toBe('sleeveCover');
    expect(plan.chosenBy).toBeUndefined();
    expect(plan.warnings.join(' ')).toMatch(NOT_ANY_MORE);
  });
  it('a splice that somebody chose is made in its place', () =>
    expect(planned(RUBBED, { zone: DRY_CABIN, choice: 'sealedButt' })).toMatchObject({
      approach: 'oneSplice',
      chosen: 'sealedButt',
      chosenBy: { use: 'sealedButt' },
    }));
  it('once it went wrong the place is cut out; a redo elsewhere changes nothing', () => {
    expect(planned(RUBBED, { redos: [redo('F1')] }).approach).not.toBe('cover');
    expect(
      planned(RUBBED, { redos: [redo('F1')], others: [{ kind: 'parted', fromMm: 800, toMm: 810 }] }).approach,
    ).not.toBe('cover');
    const others = [{ kind: 'parted' as const, id: 'F2', fromMm: 800, toMm: 810, slackMm: 60 }];
    expect(planned(RUBBED, { redos: [{ ...redo('F2'), lostFromMm: 795, lostToMm: 820 }], others }).approach).toBe(
      'cover',
    );
  });
  it('nothing there to cover it with: ordered', () => {
    const none: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) };
    expect(planned(RUBBED, { zone: DRY_CABIN, catalogue: none }).asks[0]).toMatchObject({
      does: 'order',
      words: expect.stringMatching(/Adhesive sleeve/) as string,
    });
  });
});

describe('one lost strand of a signal', () => {
  const strand = { kind: 'strandsLost', strandsLost: 1, strandsTotal: 19, freedEndMm: 3, slackMm: 40 } as never;
  const signal = { circuits: [{ wire: wire(0.5), kind: 'signal' as const, fuseA: 3, loadA: 1 }], zone: DRY_CABIN };
  it('is cut out; covered where somebody says why, with what its copper may still carry', () => {
    expect(planned(strand, signal).approach).toBe('oneSplice');
    const covered = planned(strand, { ...signal, choice: 'sleeveCover' });
    expect(covered).toMatchObject({ approach: 'cover', chosenBy: { use: 'sleeveCover' } });
    expect(covered.warnings).toContain(
      'One lost strand of a signal may be covered; cutting it out is the better repair.',
    );
    const whole = planned({ ...RUBBED, freedEndMm: 3 }, signal);
    expect(covered.electrical.areaMm2).toBeCloseTo((0.5 * 18) / 19, 9);
    expect(whole.electrical.areaMm2).toBe(0.5);
    expect(whole.warnings.join(' ')).not.toMatch(/One lost strand/);
  });
});

describe('the cut, in figures', () => {
  test.each<[string, number | undefined, string]>([
    ['slack to the millimetre', 12, 'The cut loses 12 mm; slack is 12 mm: one splice reaches.'],
    ['a millimetre short', 11, 'The cut loses 12 mm and slack is only 11 mm: one splice does not reach.'],
    ['none', 0, 'The cut loses 12 mm and there is no slack: one splice does not reach.'],
    [
      'not measured',
      undefined,
      'The cut loses 12 mm and nobody has measured the slack here, so it counts as 0: measuring it might save a splice.',
    ],
  ])('%s', (_, slackMm, sentence) =>
    expect(planned({ kind: 'parted', fromMm: 500, toMm: 512, slackMm }, { zone: WET_SHAKING }).because).toContain(
      sentence,
    ),
  );
  it('slack would cover it, and no place is legal for one: two go outside', () => {
    const features = [{ kind: 'clip' as const, name: 'Clip', fromMm: 480, toMm: 530 }];
    expect(
      planned({ kind: 'parted', fromMm: 500, toMm: 512, slackMm: 12 }, { zone: WET_SHAKING, features }).because.join(
        ' ',
      ),
    ).toMatch(/slack would cover it, but one splice finds no legal place here, so two go outside/);
  });
  it('what is taken away with it is named', () => {
    const others = [{ kind: 'parted' as const, id: 'F2', fromMm: 540, toMm: 550 }];
    const plan = planned({ kind: 'parted', fromMm: 500, toMm: 512 }, { zone: WET_SHAKING, others });
    expect(plan.because).toContain(
      'It takes away wire cut or a length missing at 540 mm as well: one repair in place of 2.',
    );
  });
});

test.each([
  ['the first refusal', 300, 'No sealed butt holds 300 mm² on one side and 300 mm² on the other.'],
  ['that of what can be ordered, where something can', 200, 'No heavy barrel holds 200 mm².'],
])('no method is allowed: by hand, with %s, and the choice of nobody', (_, areaMm2, because) => {
  const plan = planned({ kind: 'parted', slackMm: 40 }, { circuits: [{ wire: wire(areaMm2) }] });
  expect(plan.approach).toBe('byHand');
  expect(plan.because.at(-1)).toBe(`No method is allowed here. ${because}`);
  expect(plan.chosenBy).toBeUndefined();
});

it('a method that somebody chose and that is barred gives way, and that is said', () => {
  const plan = planned({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, choice: 'cap' });
  expect(plan.warnings.join(' ')).toMatch(NOT_ANY_MORE);
  const kept = planned({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, choice: 'clipSleeve' });
  expect(kept).toMatchObject({ chosen: 'clipSleeve', chosenBy: { use: 'clipSleeve' } });
  expect(kept.warnings.join(' ')).not.toMatch(NOT_ANY_MORE);
});

import { describe, expect, test } from 'vitest';
import { BENCH_SOLDER, CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, onlyFinding, wire, type CaseOptions } from '../test/samples.ts';
import type { WireSpec } from '../wire/index.ts';
import { SLACK, DAMP, VAPOUR, WET, CASES, solid } from './test/tradeCases.ts';

describe('answers of the printed tables', () => {
  test.each(CASES)('$why', ({ wire: own, far, finding, options, kind, approach, method, part, strips }) => {
    const plan = onlyFinding(
      { kind: 'parted', ...SLACK, ...(far ? { farWire: far } : {}), ...finding },
      { ...options, circuits: [{ wire: own, kind: kind ?? 'power', loadA: 0.1 }] },
    );
    expect(plan.chosen).toBe(method);
    expect(plan.approach).toBe(approach ?? 'oneSplice');
    const joint = plan.splices[0]?.joint;
    if (part !== undefined) expect(joint?.partId).toBe(part);
    if (strips) expect([joint?.left.stripMm, joint?.right.stripMm]).toEqual(strips);
  });

  test.each<[string, WireSpec, CaseOptions, string, string]>([
    ['8 mm² is over every part', wire(8), WET, 'sealedButt', 'size.noPartHolds'],
    ['solder where it shakes', wire(1.5), WET, 'wrappedSolder', 'solder.vibrating'],
    ['a cap where it is damp', wire(1), { zone: DAMP }, 'cap', 'cap.place'],
    ['a wrap where a sleeve can be slid on', wire(1.5), {}, 'clipWrap', 'seal.wrapInDry'],
    ['a wrap in the wet', wire(1.5), WET, 'clipWrap', 'seal.wrapInWet'],
    ['hot air in vapour', wire(1.5), { zone: VAPOUR }, 'sealedButt', 'vapour.hotAir'],
    ['an iron in vapour', wire(1.5), { zone: VAPOUR }, 'wrappedSolder', 'vapour.iron'],
    ['a part under its place', wire(1.5), { zone: { ...DRY_CABIN, ambientC: 130 } }, 'sealedButt', 'rated.under'],
    [
      'solid strands that there are none of',
      solid(18),
      { practice: BENCH_SOLDER },
      'interlacedSolder',
      'solid.interlaced',
    ],
    ['a tap that stays', wire(1.5), {}, 'piercingTap', 'tap.permanent'],
    ['a window on a parted wire', wire(1.5), {}, 'windowClipWrap', 'tap.cannotRejoin'],
    ['solder in a crimp-only shop', wire(1.5), { practice: CRIMP_ONLY }, 'solderSleeve', 'practice.crimpOnly'],
  ])('%s is refused, and the rule is named', (_why, own, options, method, rule) => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 60 },
      { ...options, circuits: [{ wire: own, kind: 'signal' }] },
    );
    const refused = plan.ranked.find((one) => one.methodId === method);
    expect(refused?.status).toBe('refused');
    expect(refused?.hits.filter((hit) => hit.verdict === 'refuse').map((hit) => hit.ruleId)).toContain(rule);
  });
});

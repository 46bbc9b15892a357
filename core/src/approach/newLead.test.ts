import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { DRY_CABIN, jobWith, planOf, WET_SHAKING, wire } from '../test/samples.ts';
import { at, planned, LAMP } from './test/atCavity.ts';

describe('a new lead', () => {
  it('17: parted 30 from the back, slack 0: new terminal, one splice beyond the keep-out, cut to length', () => {
    const job = jobWith([{ kind: 'parted', fromMm: 30, toMm: 34, slackMm: 0 }], { zone: WET_SHAKING });
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X1' ? { ...one, fittings: { 1: { terminal: '2.8' as const } } } : one,
    );
    const whole = planOf({ ...job, harness: { ...job.harness, nodes } });
    const [plan] = whole.findings;
    expect(plan).toMatchObject({
      approach: 'relead',
      asks: [],
      isLead: true,
      cavity: { work: { terminal: { partId: 'terminal-2.8', seal: { partId: 'wireSeal-2.2–2.9' } } } },
    });
    const [splice] = plan?.splices ?? [];
    expect(plan?.splices).toHaveLength(1);
    expect(splice).toMatchObject({ side: 'right' });
    expect(splice?.fromMm).toBeGreaterThanOrEqual(40);
    const face = (splice?.centreMm ?? 0) + 0.5;
    expect(plan?.insert?.lengthMm).toBeCloseTo(face - 1 + Math.max(3, face / 100) + 5 + 15, 9);
    expect(splice?.steps.map((step) => step.key).slice(0, 2)).toEqual(['cutRight', 'cutInsert']);
    expect(whole.kit.lines.map((line) => line.id)).toEqual(
      expect.arrayContaining(['terminal-2.8', 'wireSeal-2.2–2.9', 'sealedButt-middle']),
    );
  });
  it('at the far end it is the mirror image, and a lead too short gets what it lacks', () => {
    const plain = planned(at('cutFlush'), LAMP);
    const longer = planned(at('tooShort'), LAMP);
    expect(plain.splices[0]).toMatchObject({ side: 'left' });
    expect(plain.splices[0]?.toMm).toBeLessThanOrEqual(960);
    expect((longer.insert?.lengthMm ?? 0) - (plain.insert?.lengthMm ?? 0)).toBeCloseTo(40, 9);
  });
  it('a housing or a pigtail counts once for its connector', () => {
    const job = jobWith([], {
      circuits: [{ wire: wire(1.5) }, { wire: wire(1.5), to: { nodeId: 'X2', cavity: '2' } }],
      zone: DRY_CABIN,
    });
    const nodes = job.harness.nodes.map((one) => (one.id === 'X2' ? { ...one, ways: 2 } : one));
    const findings = [
      at('housingMelted'),
      { ...at('housingMelted', { at: { nodeId: 'X2', cavity: '2' } }), id: 'F2', circuitId: 'C2' },
    ];
    const plan = planOf({ ...job, harness: { ...job.harness, nodes }, findings });
    expect(plan.kit.lines.find((line) => line.id === 'pigtail-2-1.5')?.need).toBe(1);
    expect(plan.totals.splices).toBe(2);
    expect(plan.kit.wireCuts).toEqual([]);
  });
});

describe('a terminal that does not stand its place', () => {
  const ofRating = (ratedC: number, ambientC: number) =>
    planned(at('cutFlush'), {
      ...LAMP,
      zone: { ...WET_SHAKING, ambientC },
      circuits: [{ wire: wire(1.5, { jacket: { material: 'etfe', wall: 'thin' } }), loadA: 0 }],
      catalogue: {
        ...FULL_SHELF,
        parts: FULL_SHELF.parts.map((part) =>
          part.kind === 'terminal' ? { ...part, ratedC } : { ...part, ratedC: 150 },
        ),
      },
    }).ways.find((way) => way.way === 'relead');
  it('refuses the lead by its rating, and the rating itself is enough', () => {
    expect(ofRating(130, 130)?.status).toBe('allowed');
    expect(ofRating(129, 130)).toMatchObject({ status: 'refused', ruleId: 'rated.under' });
    expect(ofRating(129, 130)?.because).toContain('is rated 129 °C; ambient and own heating reach 130');
  });
});

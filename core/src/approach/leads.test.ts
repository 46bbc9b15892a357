import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Finding } from '../damage/index.ts';
import { jobWith, planOf, WET_SHAKING, wire } from '../test/samples.ts';

/* What must hold of every new lead and every lengthening, wherever it lies. */
const AREAS = [0.35, 0.75, 1.5, 2.5] as const;
const anyLead = fc.record({
  area: fc.constantFrom(...AREAS),
  lengthMm: fc.integer({ min: 260, max: 2000 }),
  atStart: fc.boolean(),
  cutBackMm: fc.integer({ min: 0, max: 30 }),
});

function planned(
  kind: 'cutFlush' | 'tooShort',
  { area, lengthMm, atStart, cutBackMm }: { area: number; lengthMm: number; atStart: boolean; cutBackMm: number },
  terminal = true,
) {
  const nodeId = atStart ? 'X1' : 'X2';
  const job = jobWith([], { circuits: [{ wire: wire(area) }], lengthMm, zone: WET_SHAKING });
  const nodes = job.harness.nodes.map((node) =>
    node.id === nodeId
      ? { ...node, ways: 9, fittings: { 1: { terminal: terminal ? ('2.8' as const) : ('0.64' as const) } } }
      : node,
  );
  const finding = {
    id: 'F1',
    circuitId: 'C1',
    runId: 'R1',
    kind,
    at: { nodeId, cavity: '1' },
    fromMm: atStart ? 0 : lengthMm - 1,
    toMm: atStart ? 1 : lengthMm,
    cutBackLeftMm: cutBackMm,
    cutBackRightMm: 0,
    ...(kind === 'tooShort' ? { shortByMm: 50 } : {}),
  } as Finding;
  const [plan] = planOf({ ...job, harness: { ...job.harness, nodes }, findings: [finding] }).findings;
  if (!plan) throw new Error('nothing was planned');
  return plan;
}

describe('of every new lead', () => {
  it('its one splice lies clear of both connectors and beyond the loss, and the lead reaches it', () => {
    fc.assert(
      fc.property(anyLead, (lead) => {
        fc.pre(lead.area >= 0.5);
        const plan = planned('cutFlush', lead);
        expect(plan.approach).toBe('relead');
        const [splice] = plan.splices;
        expect(plan.splices).toHaveLength(1);
        expect(splice!.fromMm).toBeGreaterThanOrEqual(40 - 1e-9);
        expect(splice!.toMm).toBeLessThanOrEqual(lead.lengthMm - 40 + 1e-9);
        const reach = lead.atStart ? plan.x2Mm : lead.lengthMm - plan.x1Mm;
        expect(reach).toBeGreaterThanOrEqual(lead.cutBackMm - 1e-9);
        expect(plan.insert!.lengthMm).toBeGreaterThan(reach);
        expect(plan.insert!.lengthMm).toBeLessThan(reach + 60);
      }),
      { numRuns: 80 },
    );
  });
  it('both ends of a run mirror each other', () => {
    fc.assert(
      fc.property(anyLead, (lead) => {
        fc.pre(lead.area >= 0.5);
        const [start, end] = [
          planned('cutFlush', { ...lead, atStart: true }),
          planned('cutFlush', { ...lead, atStart: false }),
        ];
        expect(start.splices[0]!.centreMm).toBeCloseTo(lead.lengthMm - end.splices[0]!.centreMm, 6);
        expect(start.insert!.lengthMm).toBeCloseTo(end.insert!.lengthMm, 6);
      }),
      { numRuns: 60 },
    );
  });
  it('a lead that is too short gets what it lacks, with one splice where a terminal fits and two where none does', () => {
    fc.assert(
      fc.property(anyLead, (lead) => {
        fc.pre(lead.area === 2.5 && lead.lengthMm >= 400);
        const [one, plain, two] = [
          planned('tooShort', lead),
          planned('cutFlush', lead),
          planned('tooShort', lead, false),
        ];
        expect([one.approach, one.splices.length]).toEqual(['relead', 1]);
        expect(one.insert!.lengthMm - plain.insert!.lengthMm).toBeCloseTo(50, 6);
        expect([two.approach, two.splices.length]).toEqual(['extend', 2]);
        const [left, right] = two.splices;
        expect(right!.fromMm - left!.toMm).toBeGreaterThanOrEqual(40 - 1e-9);
        // Faces 77 apart on the run as it will be: 50 that were missing and 27 of old wire, no more.
        expect(two.x2Mm - two.x1Mm).toBeCloseTo(77, 6);
        expect(two.insert!.lengthMm).toBeCloseTo(77 - 2 + 3, 6);
      }),
      { numRuns: 60 },
    );
  });
});

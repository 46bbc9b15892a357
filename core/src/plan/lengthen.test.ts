import { describe, expect, it, test } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import type { EarlierRepair, Finding } from '../damage/index.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import type { Plan } from './types.ts';

/** No terminals to be had, so that leads are lengthened and not led anew. */
const NO_TERMINALS: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.filter((part) => part.kind !== 'terminal') };
const short = (shortByMm: number, circuit = 1, atStart = false): Partial<Finding> & { readonly kind: 'tooShort' } => ({
  kind: 'tooShort',
  shortByMm,
  circuitId: `C${circuit}`,
  at: { nodeId: atStart ? 'X1' : 'X2', cavity: String(circuit) },
  fromMm: atStart ? 0 : 999,
  toMm: atStart ? 1 : 1000,
});
const OPTIONS: CaseOptions = {
  zone: WET_SHAKING,
  catalogue: NO_TERMINALS,
  circuits: [{ wire: wire(2.5) }, { wire: wire(2.5) }, { wire: wire(2.5) }],
};
const planned = (
  findings: Parameters<typeof jobWith>[0],
  options: CaseOptions = OPTIONS,
  earlier: readonly EarlierRepair[] = [],
): Plan => {
  const job = jobWith(findings, options);
  const fittings = Object.fromEntries(['1', '2', '3'].map((cavity) => [cavity, { terminal: '2.8' as const }]));
  const nodes = job.harness.nodes.map((node) => ({ ...node, fittings }));
  return planOf({ ...job, harness: { ...job.harness, nodes }, earlier }, options);
};

describe('a lead that is too short is cut once and made longer', () => {
  // Butts: insert = X − 2 + 3, centres X − 1 apart; at least 77 between the faces for two bodies of 36 with 40 between.
  test.each([
    { shortBy: 160, insert: 161, apart: 159, cutOut: 0 },
    { shortBy: 77, insert: 78, apart: 76, cutOut: 0 },
    { shortBy: 76, insert: 78, apart: 76, cutOut: 1 },
    { shortBy: 40, insert: 78, apart: 76, cutOut: 37 },
  ])('by $shortBy mm: an insert of $insert, $cutOut mm of old wire cut out', ({ shortBy, insert, apart, cutOut }) => {
    const [finding] = planned([short(shortBy)]).findings;
    expect(finding?.approach).toBe('extend');
    expect(finding?.insert?.lengthMm).toBeCloseTo(insert, 6);
    const [left, right] = finding!.splices;
    expect(right!.centreMm - left!.centreMm).toBeCloseTo(apart, 6);
    expect(finding!.x2Mm - finding!.x1Mm - shortBy).toBeCloseTo(cutOut, 6);
  });
  it.each([false, true])('on the run as it will be, away from the connector (at its start: %s)', (atStart) => {
    const plan = planned([short(160, 1, atStart)]);
    expect(plan.runs[0]).toMatchObject({ lengthMm: 1160, growths: [{ byMm: 160 }] });
    for (const splice of plan.findings[0]!.splices) {
      expect(splice.fromMm).toBeGreaterThanOrEqual(40);
      expect(splice.toMm).toBeLessThanOrEqual(1120);
    }
  });
  it('wires of one lead get one length, cut at different places', () => {
    const { findings } = planned([short(160), short(150, 2), short(160, 3)]);
    expect(findings.map((one) => Math.round(one.insert!.lengthMm))).toEqual([161, 161, 161]);
    const bodies = findings.flatMap((one) => one.splices).sort((a, b) => a.fromMm - b.fromMm);
    for (const [at, body] of bodies.slice(1).entries())
      expect(body.fromMm - bodies[at]!.toMm).toBeGreaterThanOrEqual(40 - 1e-6);
  });
  test.each([
    { atStart: true, lies: 960 },
    { atStart: false, lies: 800 },
  ])('an earlier splice on another wire moves with what it is on (at its start: $atStart)', ({ atStart, lies }) => {
    const old = {
      id: 'E1',
      circuitId: 'C2',
      runId: 'R1',
      kind: 'splice' as const,
      diameterMm: 6,
      words: 'sealed butt',
    };
    const [run] = planned([short(160, 1, atStart)], OPTIONS, [{ ...old, fromMm: 800, toMm: 836 }]).runs;
    expect(run?.lying).toMatchObject([{ fromMm: lies, toMm: lies + 36 }]);
  });
  it('what was marked beyond the cut moves along, what lies before it stays', () => {
    const rubbed = (fromMm: number) => ({
      kind: 'jacketRubbed' as const,
      circuitId: 'C2',
      fromMm,
      toMm: fromMm + 10,
      freedEndMm: 4,
    });
    const { findings } = planned([short(160), rubbed(100), rubbed(930)]);
    expect(findings.map((one) => one.cover?.atMm)).toEqual([undefined, 105, 1095]);
  });
  it('a run too short for its splices says so', () => {
    const job = planned([{ ...short(40), fromMm: 149, toMm: 150 }], { ...OPTIONS, lengthMm: 150 });
    expect(job.findings[0]?.ways.find((way) => way.way === 'extend')).toMatchObject({ status: 'refused' });
  });
});

import { describe, expect, it } from 'vitest';
import type { Cable } from '../harness/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';
import { bundleWith, sectionMm } from './index.ts';

const core = (id: string) => ({ circuitId: id, jacketMm: 1.91 });
/** A cable of 8.2 with three cores of 0.75 mm², and a wire of 2.83 beside it. */
const THINGS = [
  { circuitId: 'W1', jacketMm: 8.2, cores: [core('A'), core('B'), core('C')] },
  { circuitId: 'D', jacketMm: 2.83 },
];
const body = (circuitId: string, bodyMm: number) => ({ circuitId, bodyMm });

describe('a cable in a bundle is one thing', () => {
  it('as thick as its jacket: beside one wire, the sum of both', () =>
    expect(sectionMm(THINGS, [])).toBeCloseTo(11.03, 6));
  it('open where a core is spliced: its cores with that body, and never thinner than its jacket', () => {
    // 5.2 beside two cores of 1.91: the three circles lie in one of 5.2 + 1.91 = 7.11 at most, under 8.2.
    expect(bundleWith(THINGS, [body('A', 5.2)]).inPlace).toEqual(new Map([[0, 8.2]]));
    // Two bodies of 6.9 alone are 13.8 across.
    const two = bundleWith(THINGS, [body('A', 6.9), body('B', 6.9)]).inPlace.get(0)!;
    expect(two).toBeGreaterThanOrEqual(13.8 - 1e-6);
  });
  it('a second body of one core has no place, and is one more', () =>
    expect(bundleWith(THINGS, [body('A', 5), body('A', 6)]).more).toEqual([6]));
  it('a body on nothing that is there is one more', () =>
    expect(bundleWith(THINGS, [body('W1', 5)])).toMatchObject({ more: [5], inPlace: new Map() }));
  it('never makes the bundle thinner by a body more', () => {
    const at = (bodies: ReturnType<typeof body>[]) =>
      sectionMm(
        THINGS,
        bodies.map(({ circuitId, bodyMm }) => ({ circuitId, joint: { bodyDiameterMm: bodyMm } }) as never),
      );
    for (const mm of [2, 4, 6, 8]) {
      expect(at([body('A', mm)])).toBeGreaterThanOrEqual(at([]) - 1e-6);
      expect(at([body('A', mm), body('B', mm)])).toBeGreaterThanOrEqual(at([body('A', mm)]) - 1e-6);
    }
  });
});

describe('the conduit of a run with a cable', () => {
  const circuits = Array.from({ length: 3 }, () => ({ wire: wire(0.75) }));
  const conduit = (cables: readonly Cable[]) => {
    const job = jobWith([{ kind: 'parted', slackMm: 40 }], { circuits });
    return planOf({ ...job, harness: { ...job.harness, cables } }).runs[0]!;
  };
  const cable = (outerMm?: number): Cable => ({
    id: 'W1',
    name: 'W1',
    outerMm,
    runIds: ['R1'],
    coreIds: ['C1', 'C2', 'C3'],
    spares: [],
  });
  it('passes the cable, not the bare cores; one that nobody has measured counts by its cores', () => {
    expect(conduit([cable(8.2)]).restMm).toBeCloseTo(8.2, 6);
    expect(conduit([cable(18)]).conduitMm).toBe(22);
    expect(conduit([cable()]).restMm).toBeCloseTo(conduit([]).restMm, 6);
  });
});

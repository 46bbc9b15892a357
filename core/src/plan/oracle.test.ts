import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobWith, planOf, wire } from '../test/samples.ts';

/*
 * An independent answer: the same question worked out a second time from the printed tables, slowly and without a line
 * of the engine. Two plain wires, one loss, a dry or wet run that stands still or shakes, crimp first, full shelf, no
 * odd sizes.
 */
interface Question {
  readonly leftMm2: number;
  readonly rightMm2: number;
  readonly lostMm: number;
  readonly slackMm: number;
  readonly wet: boolean;
  readonly shaking: boolean;
  readonly lowLevel: boolean;
}

interface Answer {
  readonly approach: 'oneSplice' | 'insert';
  readonly method: string;
  readonly part: string;
  readonly stripMm: number;
  readonly sleeve?: string;
  readonly cutMm?: number;
  readonly bodyMm: number;
}

const BUTT_TABLE = [
  { name: 'sealedButt-extra small', from: 0.12, to: 0.35, barrel: 13, overall: 30 },
  { name: 'sealedButt-small', from: 0.33, to: 1.04, barrel: 15, overall: 36 },
  { name: 'sealedButt-middle', from: 1.04, to: 2.63, barrel: 15, overall: 36 },
  { name: 'sealedButt-large', from: 2.63, to: 6.64, barrel: 15, overall: 41 },
];
const PLAIN_TABLE = [
  { name: 'plainButt-small', from: 0.33, to: 1.04, diameter: 3.0 },
  { name: 'plainButt-middle', from: 1.04, to: 2.63, diameter: 4.0 },
  { name: 'plainButt-large', from: 2.63, to: 6.64, diameter: 5.5 },
];
const CLIP_TABLE = [
  { name: 'clip-S', from: 0.35, to: 1.0, lap: 8, diameter: 2.2 },
  { name: 'clip-M', from: 1.0, to: 2.0, lap: 9, diameter: 2.9 },
  { name: 'clip-L', from: 2.0, to: 3.5, lap: 10, diameter: 3.7 },
  { name: 'clip-XL', from: 3.5, to: 6.0, lap: 12, diameter: 4.9 },
];
const SLEEVE_TABLE = [
  [1.5, 0.5, '3to1'],
  [3, 1, '3to1'],
  [4, 1, '4to1'],
  [4.8, 1.5, '3to1'],
  [6, 2, '3to1'],
  [8, 2, '4to1'],
  [9, 3, '3to1'],
  [12, 4, '3to1'],
  [12, 3, '4to1'],
  [16, 4, '4to1'],
  [19, 6, '3to1'],
  [24, 8, '3to1'],
  [24, 6, '4to1'],
  [32, 8, '4to1'],
  [40, 13, '3to1'],
] as const;

const inside = (area: number, from: number, to: number): boolean =>
  area >= from * 0.98 - 1e-12 && area <= to * 1.02 + 1e-12;
const jacketOf = (area: number): number => 1.14 * Math.sqrt((4 * area) / Math.PI) + 0.8;

function sleeveFor(
  left: number,
  right: number,
  jointDiameter: number,
  jointLength: number,
): { name: string; cut: number } | undefined {
  const pass = 1.1 * Math.max(jointDiameter, jacketOf(left), jacketOf(right));
  const grip = 0.9 * Math.min(jacketOf(left), jacketOf(right));
  for (const [supplied, recovered, series] of SLEEVE_TABLE) {
    if (supplied >= pass - 1e-9 && recovered <= grip + 1e-9)
      return { name: `sleeve-adhesive${series}-${supplied}`, cut: Math.ceil((jointLength + 24) / 0.9 - 1e-9) };
  }
  return undefined;
}

/**
 * Every candidate for one joint, best first by the printed order; the thinner wire is doubled only where nothing holds
 * both.
 */
function candidates(q: Question, left: number, right: number): Omit<Answer, 'approach'>[] {
  const butts = BUTT_TABLE.filter((row) => inside(left, row.from, row.to) && inside(right, row.from, row.to))
    .map((row) => ({ method: 'sealedButt', part: row.name, stripMm: (row.barrel - 1) / 2, bodyMm: row.overall }))
    .slice(0, 1);
  const clips = CLIP_TABLE.filter((row) => inside(left + right, row.from, row.to))
    .slice(0, 1)
    .flatMap((row) => {
      const sleeve = sleeveFor(left, right, row.diameter, row.lap);
      return sleeve
        ? [
            {
              method: 'clipSleeve',
              part: row.name,
              stripMm: row.lap,
              sleeve: sleeve.name,
              cutMm: sleeve.cut,
              bodyMm: sleeve.cut * 0.9,
            },
          ]
        : [];
    });
  const plains = PLAIN_TABLE.filter((row) => inside(left, row.from, row.to) && inside(right, row.from, row.to))
    .slice(0, 1)
    .flatMap((row) => {
      const sleeve = sleeveFor(left, right, row.diameter, 15);
      return sleeve
        ? [
            {
              method: 'plainSleeve',
              part: row.name,
              stripMm: 7,
              sleeve: sleeve.name,
              cutMm: sleeve.cut,
              bodyMm: sleeve.cut * 0.9,
            },
          ]
        : [];
    });
  const clipFirst = !q.wet && q.lowLevel && left <= 0.52;
  return clipFirst ? [...clips, ...butts, ...plains] : [...butts, ...clips, ...plains];
}

const lapOf = (part: string): number => CLIP_TABLE.find((row) => row.name === part)?.lap ?? 0;

function answer(q: Question): Answer | undefined {
  const single = candidates(q, q.leftMm2, q.rightMm2).filter((one) => q.lostMm + lapOf(one.part) <= q.slackMm + 1e-9);
  if (single[0]) return { approach: 'oneSplice', ...single[0] };
  // Two splices: the insert is of the left wire's size, so the left joint has equal sides.
  const left = candidates(q, q.leftMm2, q.leftMm2);
  const right = new Set(candidates(q, q.leftMm2, q.rightMm2).map((one) => one.method));
  const first = left.find((one) => right.has(one.method));
  return first && { approach: 'insert', ...first };
}

describe('an independent table agrees with the engine', () => {
  const AREAS = [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4];
  const question = fc
    .record<Question>({
      leftMm2: fc.constantFrom(...AREAS),
      rightMm2: fc.constantFrom(...AREAS),
      lostMm: fc.integer({ min: 1, max: 40 }),
      slackMm: fc.integer({ min: 0, max: 60 }),
      wet: fc.boolean(),
      shaking: fc.boolean(),
      lowLevel: fc.boolean(),
    })
    .filter(
      (q) =>
        candidates(q, q.leftMm2, q.rightMm2).some((one) => one.method !== 'clipSleeve') &&
        candidates(q, q.leftMm2, q.leftMm2).length > 0,
    );

  it('on approach, method, part, strip, sleeve, cut and body, in 500 cases', () => {
    fc.assert(
      fc.property(question, (q) => {
        const expected = answer(q);
        fc.pre(expected !== undefined);
        const zone = {
          area: 'body',
          vibration: q.shaking ? 'high' : 'none',
          moisture: q.wet ? 'wet' : 'dry',
          fuelVapour: false,
        } as const;
        const [plan] = planOf(
          jobWith(
            [{ kind: 'parted', fromMm: 1500, toMm: 1500 + q.lostMm, slackMm: q.slackMm, farWire: wire(q.rightMm2) }],
            {
              lengthMm: 3000,
              zone,
              circuits: [{ kind: q.lowLevel ? 'lowLevel' : 'signal', wire: wire(q.leftMm2), loadA: 0.1 }],
            },
          ),
        ).findings;
        const joint = plan?.splices[0]?.joint;
        const got: Answer = {
          approach: plan?.approach as Answer['approach'],
          method: String(plan?.chosen),
          part: String(joint?.partId),
          stripMm: Number(joint?.left.stripMm),
          ...(joint?.seal.kind === 'sleeve' ? { sleeve: joint.seal.partId, cutMm: joint.seal.cutMm } : {}),
          bodyMm: Math.round(Number(joint?.bodyLengthMm) * 1e6) / 1e6,
        };
        expect(got).toEqual({ ...expected, bodyMm: Math.round((expected?.bodyMm ?? 0) * 1e6) / 1e6 });
      }),
      { numRuns: 500, seed: 42 },
    );
  });

  it('on the insert: faces, ease, and the centres of the two joints', () => {
    fc.assert(
      fc.property(question, (q) => {
        const [plan] = planOf(
          jobWith([{ kind: 'parted', fromMm: 1500, toMm: 1500 + q.lostMm, slackMm: 0, farWire: wire(q.rightMm2) }], {
            lengthMm: 3000,
            circuits: [{ kind: 'signal', wire: wire(q.leftMm2), loadA: 0.1 }],
          }),
        ).findings;
        if (plan?.approach !== 'insert') return;
        const [left, right] = plan.splices;
        const between = plan.x2Mm - plan.x1Mm;
        const share = (splice: typeof left): number =>
          splice?.joint.reach.kind === 'lapped' ? splice.joint.reach.lapMm : -1;
        expect(plan.insert?.lengthMm).toBeCloseTo(between + share(left) + share(right) + Math.max(3, between / 100), 6);
        const inward = (splice: typeof left): number =>
          splice?.joint.reach.kind === 'lapped' ? -splice.joint.reach.lapMm / 2 : 0.5;
        expect(left?.centreMm).toBeCloseTo(plan.x1Mm + inward(left), 6);
        expect(right?.centreMm).toBeCloseTo(plan.x2Mm - inward(right), 6);
        expect(plan.x1Mm).toBeLessThanOrEqual(1500 + 1e-6);
        expect(plan.x2Mm).toBeGreaterThanOrEqual(1500 + q.lostMm - 1e-6);
      }),
      { numRuns: 150, seed: 43 },
    );
  });
});

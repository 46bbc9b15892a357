import { figure } from '../../units/index.ts';
import { JOINT_DROP_MV, resistanceMilliohm, type WireSpec } from '../../wire/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';
import type { Ruling } from '../types.ts';
import { DROP_FIELDS, dropMilliohm, tooLittle } from './drop.ts';
import { tooLow } from './resistance.ts';

/** A stretch of wire between two terminals, mm. */
export interface PathPiece {
  readonly wire: WireSpec;
  readonly lengthMm: number;
}

/** What a drop is read along: a wire from terminal to terminal, what was put into it, and the joints on it. */
export interface MeasuredPath {
  readonly wire: WireSpec;
  /** All of it as it is after the repair, mm; absent where nobody knows how long it is. */
  readonly lengthMm?: number | undefined;
  /** What of it is another wire: inserts and leads. */
  readonly pieces: readonly PathPiece[];
  /** Splices and new terminals that the drop is shared by. */
  readonly joints: number;
}

/** A voltage drop from terminal to terminal at a stated current. */
interface PathCheck extends CheckBase {
  readonly path: MeasuredPath;
  readonly loadA?: number | undefined;
}

/** A joint on a path: good up to the one, an alarm above the other, mΩ. Source: numbers, Current. */
const GOOD_EACH_MILLIOHM = 1;
const ALARM_EACH_MILLIOHM = 5;
/** Twelve degrees, or 5 % of copper: what a wire's own resistance is never known better than. */
const WIRE_SPREAD = 0.05;

/** What the wire of a path must have, mΩ. @param lengthMm all of it; @param celsius how warm it is */
function wireMilliohm({ wire, pieces }: MeasuredPath, lengthMm: number, celsius: number): number {
  const R = (of: WireSpec, mm: number): number => (mm > 0 ? resistanceMilliohm(of, mm, celsius) : 0);
  const other = pieces.reduce((sum, piece) => sum + piece.lengthMm, 0);
  return R(wire, lengthMm - other) + pieces.reduce((sum, piece) => sum + R(piece.wire, piece.lengthMm), 0);
}

export const path = readingKind({
  kind: 'path',
  fields: {
    ...DROP_FIELDS,
    lengthMm: { type: 'number', words: 'A length of wire', unit: 'mm', from: 0, fromIsAllowed: false, to: 200_000 },
    celsius: { type: 'number', words: 'A temperature', unit: '°C', from: -60, fromIsAllowed: true, to: 250 },
    joints: { type: 'number', words: 'A number of joints', unit: '', from: 1, fromIsAllowed: true, to: 50 },
  },
  rule: (check: PathCheck, { millivolt, ampere, lengthMm, celsius, joints }): Ruling => {
    const little = tooLittle(ampere, check.loadA);
    if (little) return little;
    const all = dropMilliohm(millivolt, ampere);
    const cold = wireMilliohm(check.path, lengthMm, 20);
    const wire = wireMilliohm(check.path, lengthMm, celsius);
    const low = tooLow(`${figure(millivolt, 2)} mV at ${figure(ampere, 2)} A, ${figure(all, 3)} mΩ`, all, cold);
    if (low) return low;
    const each = Math.max(0, all - wire) / joints;
    const ofLoad = check.loadA !== undefined && check.loadA > 0 ? JOINT_DROP_MV / check.loadA : Infinity;
    const alarm = Math.min(ALARM_EACH_MILLIOHM, ofLoad);
    const shared = joints === 1 ? 'for the joint on it' : `for each of ${figure(joints, 0)} joints`;
    const reads = `${figure(all, 3)} mΩ, of which the wire has ${figure(wire, 3)}: ${figure(each, 3)} left ${shared}`;
    if (each > alarm + 1e-12)
      return {
        verdict: 'rework',
        watch: false,
        cause: `${reads}. Alarm above ${figure(alarm, 3)} (${alarm === ofLoad ? '50 mV under load' : '5 mΩ'}).`,
        next: 'Measure over each joint and terminal alone, and cut out the one that is above its own limit.',
      };
    const spread = WIRE_SPREAD * wire;
    const surer =
      spread > alarm * joints
        ? ` The wire alone is known to ${figure(spread, 1)} mΩ here: over the joint alone is surer.`
        : '';
    if (each <= GOOD_EACH_MILLIOHM + 1e-12)
      return pass(`${reads}, good up to ${GOOD_EACH_MILLIOHM}.${surer}`, surer !== '', surer.trim());
    return pass(`${reads}, under the alarm at ${figure(alarm, 3)}.${surer}`, true, 'Measure again when it is closed.');
  },
  words: ({ millivolt, ampere, lengthMm, celsius, joints }) =>
    `${figure(millivolt, 2)} mV at ${figure(ampere, 2)} A over ${figure(lengthMm, 0)} mm at ${figure(celsius, 0)} °C, ${figure(joints, 0)} ${joints === 1 ? 'joint' : 'joints'} on it`,
});

/** The drop from terminal to terminal. @param loadA the circuit's load, A, where it is known */
export const pathCheck = (
  measured: MeasuredPath,
  loadA: number | undefined,
): PathCheck & { readonly kind: 'path' } => ({
  id: 'path',
  kind: 'path',
  required: false,
  title: 'Voltage drop over the path',
  how: 'Millivolts from terminal to terminal while a known current flows. What the wire must have is taken off.',
  path: measured,
  ...(loadA === undefined ? {} : { loadA }),
});

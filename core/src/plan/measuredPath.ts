import { notMeasured } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { PlacedItem } from '../layout/index.ts';
import type { MeasuredPath } from '../prove/index.ts';
import type { Decided } from './types.ts';

/**
 * A circuit from terminal to terminal as it is after its repair: what a drop along it is held against. Joints are those
 * of this repair and what earlier jobs have spliced on the same circuit; of other findings nobody knows yet. None where
 * it is made of two wires.
 */
export function measuredPath(
  { decision, circuit, finding, share }: Decided,
  item: PlacedItem | undefined,
  { harness, earlier = [] }: Job,
): MeasuredPath | undefined {
  // Where the wire beyond the damage is another one, nobody has said how far it goes.
  if (finding.farWire) return undefined;
  const wholeMm = harness.runs
    .filter((run) => circuit.runIds.includes(run.id))
    .reduce((sum, run) => sum + run.lengthMm, 0);
  const insertMm = item?.insertMm ?? 0;
  const removedMm = item && item.splices.length > 0 ? item.x2Mm - item.x1Mm : 0;
  const pieces = insertMm > 0 && decision.insertWire ? [{ wire: decision.insertWire.wire, lengthMm: insertMm }] : [];
  const gone = new Set(share.cutsOut.map(({ id }) => id));
  const before = earlier.filter(
    ({ id, circuitId, kind }) => circuitId === circuit.id && kind === 'splice' && !gone.has(id),
  ).length;
  const terminals = decision.cavity?.acts.includes('crimpTerminal') === true ? 1 : 0;
  return {
    wire: circuit.wire,
    ...(wholeMm > 0 && notMeasured(harness.runs, circuit.runIds).length === 0
      ? { lengthMm: Math.round(wholeMm - removedMm + insertMm) }
      : {}),
    pieces,
    joints: Math.max(1, (item?.splices.length ?? 0) + terminals + before),
  };
}

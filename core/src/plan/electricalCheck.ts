import { believedLoadA } from '../approach/index.ts';
import { isPowerKind, notMeasured } from '../harness/index.ts';
import type { PlacedItem } from '../layout/index.ts';
import { figure } from '../units/index.ts';
import {
  areaMm2,
  JACKETS,
  JOINT_DROP_MV,
  LEAST_JOINT_MM,
  ratedC,
  resistanceMilliohm,
  type WireSpec,
} from '../wire/index.ts';
import type { ElectricalCheck, ElectricalLine, LimitStanding } from './electricalTypes.ts';
import type { Job } from '../job/index.ts';
import type { Decided } from './types.ts';

/** Usual limits of voltage drop at 12 V, V: a ground path, a feed wire, and one joint; other systems in proportion. */
const GROUND_V = 0.1;
const FEED_V = 0.2;
const LIMITS_FOR_V = 12;

const R = (wire: WireSpec, lengthMm: number, atC: number): number =>
  lengthMm > 0 ? resistanceMilliohm(wire, lengthMm, atC) : 0;

/**
 * Resistance and drop of the whole path before and after, and the weakest copper against fuse and load, conductor
 * temperature against jackets and sleeves. A good joint counts as the same length of its wire, at least 10 mm; drops
 * need a known load.
 */
export function electricalCheck(
  { decision, circuit, finding }: Decided,
  item: PlacedItem | undefined,
  job: Job,
): ElectricalCheck {
  const { electrical } = decision;
  const pathMm = job.harness.runs
    .filter((run) => circuit.runIds.includes(run.id))
    .reduce((sum, run) => sum + run.lengthMm, 0);
  const at = electrical.placeC;
  const loadA = believedLoadA(electrical, circuit);
  const joints = decision.method ? (item?.splices.map((splice) => splice.joint) ?? []) : [];
  const before = R(circuit.wire, pathMm, at);
  const removed = joints.length > 0 && item ? R(circuit.wire, item.x2Mm - item.x1Mm, at) : 0;
  const added =
    item?.insertMm !== undefined && decision.insertWire ? R(decision.insertWire.wire, item.insertMm, at) : 0;
  const far = finding.farWire ?? circuit.wire;
  const thinner = areaMm2(far.size) < areaMm2(circuit.wire.size) ? far : circuit.wire;
  const jointMilliohm = joints.map((joint) => R(thinner, Math.max(LEAST_JOINT_MM, joint.jointLengthMm), at));
  const after = before - removed + added + jointMilliohm.reduce((sum, one) => sum + one, 0);
  const drop = (milliohm: number): number | undefined => (loadA === undefined ? undefined : (milliohm / 1000) * loadA);
  const open = notMeasured(job.harness.runs, circuit.runIds).map(({ name }) => name);
  const least = open.length > 0;
  return {
    pathMm,
    ...(least ? { notMeasured: open } : {}),
    conductorC: at,
    before: { milliohm: before, dropV: drop(before) },
    after: { milliohm: after, dropV: drop(after) },
    lines: linesOf(),
  };

  function linesOf(): ElectricalLine[] {
    const lines: ElectricalLine[] = [];
    const say = (id: ElectricalLine['id'], standing: LimitStanding, words: string): void =>
      void lines.push({ id, standing, words });
    const { weakest, fuseA } = electrical;
    const where = weakest.where === 'here' ? '' : ` (${weakest.where})`;
    if (fuseA !== undefined)
      say(
        'fuse',
        electrical.fuseProtects ? 'ok' : 'over',
        `Fuse ${figure(fuseA)} A against ${figure(weakest.amps, 1)} A that the weakest copper of the path may carry${where}.`,
      );
    if (electrical.impossibleLoadA !== undefined)
      say(
        'load',
        'over',
        `Load ${figure(electrical.impossibleLoadA)} A cannot be on ${figure(areaMm2(circuit.wire.size))} mm²: check the load or the size. It is left out of these figures.`,
      );
    if (loadA !== undefined)
      say(
        'load',
        loadA <= weakest.amps + 1e-9 ? 'ok' : 'over',
        `Load ${figure(loadA)} A against ${figure(weakest.amps, 1)} A${where}.`,
      );
    const wires = [
      circuit.wire,
      ...(finding.farWire ? [finding.farWire] : []),
      ...(added > 0 && decision.insertWire ? [decision.insertWire.wire] : []),
    ];
    const jacket = wires.reduce((least, wire) => (ratedC(wire) < ratedC(least) ? wire : least));
    say(
      'jacket',
      at > ratedC(jacket) ? 'over' : at > ratedC(jacket) - 15 ? 'watch' : 'ok',
      `Conductor ${figure(at, 0)} °C among ${electrical.loadedWires} loaded ${electrical.loadedWires === 1 ? 'wire' : 'wires'} at ${figure(electrical.ambientC, 0)} °C; ${JACKETS[jacket.jacket.material].name} is rated ${ratedC(jacket)}.`,
    );
    const rated = joints
      .flatMap((joint) => joint.rated)
      .reduce<{ name: string; ratedC: number } | undefined>(
        (least, one) => (least && least.ratedC <= one.ratedC ? least : one),
        undefined,
      );
    if (rated)
      say(
        'sleeve',
        at > rated.ratedC ? 'over' : at > rated.ratedC - 15 ? 'watch' : 'ok',
        `${rated.name} is rated ${rated.ratedC} °C.`,
      );
    const scale = job.machine.systemVoltageV / LIMITS_FOR_V;
    const limit = (circuit.kind === 'ground' ? GROUND_V : FEED_V) * scale;
    const dropAfter = drop(after);
    if (dropAfter !== undefined && isPowerKind(circuit.kind)) {
      say(
        'drop',
        dropAfter <= limit + 1e-9
          ? least
            ? 'watch'
            : 'ok'
          : dropAfter <= (drop(before) ?? 0) + 1e-9
            ? 'watch'
            : 'over',
        `Drop ${least ? 'at least ' : ''}${figure(dropAfter, 3)} V at ${figure(loadA ?? 0)} A; ${circuit.kind === 'ground' ? 'a ground path' : 'a feed wire'} may take ${figure(limit, 2)} V at ${figure(job.machine.systemVoltageV, 0)} V.${least && dropAfter <= limit + 1e-9 ? ` How long is “${open.join('”, “')}”? Nobody has measured it.` : ''}`,
      );
    }
    const worst = Math.max(0, ...jointMilliohm);
    if (worst > 0 && loadA !== undefined) {
      const jointV = (worst / 1000) * loadA;
      say(
        'joint',
        jointV <= (JOINT_DROP_MV / 1000) * scale ? 'ok' : 'over',
        `A good joint drops ${figure(jointV * 1000, 1)} mV under load; up to ${figure(JOINT_DROP_MV * scale, 0)} mV is usual.`,
      );
    }
    if (added > 0 && decision.insertWire) {
      const share = areaMm2(decision.insertWire.wire.size) / areaMm2(circuit.wire.size);
      say(
        'copper',
        share < 0.95 ? 'over' : 'ok',
        share > 1.05
          ? `New wire has ${figure(share, 2)} times the copper of the old.`
          : 'New wire has the copper of the old.',
      );
    }
    return lines;
  }
}

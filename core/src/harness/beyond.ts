import { keepOuts, type Clearances } from './keepOuts.ts';
import type { Circuit, HarnessNode, KeepOut, Moisture, NodeKind, Run, Vibration, Zone } from './types.ts';
import { VIBRATIONS, MOISTURES } from './types.ts';
import { ambientC } from './zone.ts';

/** The run in which a circuit goes on past an end of another one. */
export interface Beyond {
  readonly run: Run;
  /** Whether that run counts away from the end that both share. */
  readonly isAway: boolean;
}

/**
 * Where a circuit goes on past the start and the end of a run; nothing where it ends, or where no repair may reach on.
 */
export interface Beyonds {
  readonly start?: Beyond | undefined;
  readonly end?: Beyond | undefined;
}

/** What an inserted wire can be led past. Through a connector or an earlier splice it cannot. */
const PASSABLE: readonly NodeKind[] = ['branch', 'grommet', 'clip'];

const vibration = (zone: Zone): number => VIBRATIONS.indexOf(zone.vibration satisfies Vibration);
const moisture = (zone: Zone): number => MOISTURES.indexOf(zone.moisture satisfies Moisture);

/**
 * Whether a splice that suits one zone suits the other: it shakes no more, is no wetter, no hotter, and has no fuel
 * vapour of its own.
 */
export const isNoHarsher = (there: Zone, here: Zone): boolean =>
  vibration(there) <= vibration(here) &&
  moisture(there) <= moisture(here) &&
  ambientC(there) <= ambientC(here) &&
  (here.fuelVapour || !there.fuelVapour);

/** The one run in which a circuit goes on at a node; none where it ends or parts. */
function goesOnIn(circuit: Circuit, run: Run, nodeId: string, runs: ReadonlyMap<string, Run>): Beyond | undefined {
  const others = circuit.runIds
    .flatMap((id) => (id === run.id ? [] : (runs.get(id) ?? [])))
    .filter((other) => other.fromNodeId === nodeId || other.toNodeId === nodeId);
  const [only] = others;
  return only && others.length === 1 ? { run: only, isAway: only.fromNodeId === nodeId } : undefined;
}

/**
 * The runs beside a run along a circuit, whatever lies between and however harsh they are: for what has been made
 * there.
 */
export const besideAlong = (circuit: Circuit, run: Run, runs: ReadonlyMap<string, Run>): Beyonds => ({
  start: goesOnIn(circuit, run, run.fromNodeId, runs),
  end: goesOnIn(circuit, run, run.toNodeId, runs),
});

/**
 * Where a repair of a circuit may reach on past the ends of a run: past a branch, a grommet or a clip, into the one run
 * in which the circuit goes on, when that is no harsher a place.
 */
export function beyondOf(
  circuit: Circuit,
  run: Run,
  runs: ReadonlyMap<string, Run>,
  nodes: ReadonlyMap<string, HarnessNode>,
): Beyonds {
  const { start, end } = besideAlong(circuit, run, runs);
  const may = (beyond: Beyond | undefined, nodeId: string): Beyond | undefined => {
    const kind = nodes.get(nodeId)?.kind;
    // Over a run that nobody has measured no wire is cut to length, and no place is counted back from its far end.
    const isCounted = run.atLeast !== true || nodeId === run.fromNodeId;
    return beyond &&
      isCounted &&
      (beyond.isAway || beyond.run.atLeast !== true) &&
      kind !== undefined &&
      PASSABLE.includes(kind) &&
      isNoHarsher(beyond.run.zone, run.zone)
      ? beyond
      : undefined;
  };
  return { start: may(start, run.fromNodeId), end: may(end, run.toNodeId) };
}

/**
 * A place that lies some mm past the shared end, as the other run counts; below 0 or beyond its length for a place on
 * this side of it.
 */
export const placeBeyond = ({ run, isAway }: Beyond, pastMm: number): number =>
  isAway ? pastMm : run.lengthMm - pastMm;

/**
 * Keep-outs of a run, its ends open where a circuit goes on, with those of the runs beyond: all as this run counts,
 * below 0 and above its length.
 */
export function keepOutsBeyond(
  run: Run,
  { start, end }: Beyonds,
  nodes: ReadonlyMap<string, HarnessNode>,
  clear: Clearances,
): KeepOut[] {
  const own = keepOuts(run, nodes, clear).map((keep) => ({
    ...keep,
    fromMm: keep.fromMm === -Infinity && start ? -keep.toMm : keep.fromMm,
    toMm: keep.toMm === Infinity && end ? 2 * run.lengthMm - keep.fromMm : keep.toMm,
  }));
  const seen = (beyond: Beyond | undefined, atStart: boolean): KeepOut[] => {
    if (!beyond) return [];
    // As mm past the end that both share.
    const pastMm = (mm: number): number => (beyond.isAway ? mm : beyond.run.lengthMm - mm);
    return keepOuts(beyond.run, nodes, clear).flatMap((keep) => {
      const [a, b] = [pastMm(keep.fromMm), pastMm(keep.toMm)].sort((x, y) => x - y) as [number, number];
      if (a === -Infinity) return [];
      return [
        atStart ? { ...keep, fromMm: -b, toMm: -a } : { ...keep, fromMm: run.lengthMm + a, toMm: run.lengthMm + b },
      ];
    });
  };
  return [...own, ...seen(start, true), ...seen(end, false)].sort((a, b) => a.fromMm - b.fromMm);
}

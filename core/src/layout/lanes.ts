import type { Stretch } from '../damage/index.ts';
import type { Window } from '../sizing/index.ts';
import { isFree, nearestClear, noBodies, sorted, type Bodies } from './clear.ts';
import { sectionDiameterMm } from './objective.ts';
import type { Wish } from './place.ts';
import type { BodyOn } from './profile.ts';
import type { RunToLayOut } from './types.ts';

interface Lane {
  readonly bodies: Bodies;
  /** Bodies by what tells how thick the bundle is with them. */
  readonly alike: Map<string, (Stretch & BodyOn)[]>;
  readonly byCircuit: Map<string, (Stretch & BodyOn)[]>;
}

const emptyLane = (): Lane => ({ bodies: noBodies(), alike: new Map(), byCircuit: new Map() });

function addTo<T>(lists: Map<string, T[]>, key: string, one: T): void {
  const list = lists.get(key);
  if (list) list.push(one);
  else lists.set(key, [one]);
}

/**
 * Two lanes along a run, so that never more than two bodies lie over one place: a body lies clear of its lane, and of
 * those in the other one that are too thick beside it.
 */
export class Lanes {
  private readonly lanes: readonly Lane[] = [emptyLane(), emptyLane()];
  /** Jackets of wires that lie in the bundle by themselves; those in cables are each of their own kind. */
  private readonly jacketsMm: ReadonlyMap<string, number>;

  constructor(private readonly run: Pick<RunToLayOut, 'wires' | 'twoAtMostMm'>) {
    this.jacketsMm = new Map(
      (run.wires ?? []).flatMap(({ circuitId, jacketMm, cores }) => (cores ? [] : [[circuitId, jacketMm] as const])),
    );
  }

  private likeOf({ circuitId, bodyMm }: BodyOn): string {
    const jacketMm = this.jacketsMm.get(circuitId);
    return `${bodyMm} on ${jacketMm === undefined ? circuitId : `${jacketMm} mm`}`;
  }

  /** Bodies of a lane that would be too thick beside one: of those that are alike one is asked for all. */
  private tooThickBeside(body: BodyOn, lane: Lane | undefined): (Stretch & BodyOn)[] {
    if ((this.run.twoAtMostMm ?? Infinity) === Infinity) return [];
    const isOwn = ({ circuitId }: BodyOn): boolean => circuitId === body.circuitId;
    const others = [...(lane?.alike.values() ?? [])].flatMap((all) => {
      const other = all.find((one) => !isOwn(one));
      return other && this.isTooThick(body, other) ? all.filter((one) => !isOwn(one)) : [];
    });
    // A second body of a wire has no place of its own in the bundle: each is asked for itself.
    const own = lane?.byCircuit.get(body.circuitId) ?? [];
    return [...others, ...own.filter((one) => this.isTooThick(body, one))];
  }

  private isTooThick(a: BodyOn, b: BodyOn): boolean {
    const { wires = [], twoAtMostMm = Infinity } = this.run;
    return sectionDiameterMm(wires, [a, b]) > twoAtMostMm;
  }

  /** Takes a body into the first lane that is free there; into the first one where neither is. */
  add(body: Stretch & BodyOn): void {
    const lane = this.lanes.find(({ bodies }) => isFree(bodies, body)) ?? this.lanes[0];
    if (!lane) return;
    lane.bodies.add(body);
    addTo(lane.alike, this.likeOf(body), body);
    addTo(lane.byCircuit, body.circuitId, body);
  }

  /** The place nearest to a wished one that a lane leaves; none where neither does. */
  nearest(wish: Wish, circuitId: string, keep: readonly Window[]): number | undefined {
    const body = { circuitId, bodyMm: wish.joint.bodyDiameterMm };
    const wanted = { atMm: wish.atMm, window: wish.window, bodyLengthMm: wish.joint.bodyLengthMm };
    const places = this.lanes.flatMap((lane, index) => {
      const beside = this.tooThickBeside(body, this.lanes[1 - index]);
      return nearestClear(wanted, sorted([...keep, ...beside]), lane.bodies, 0) ?? [];
    });
    return places.sort((a, b) => Math.abs(a - wish.atMm) - Math.abs(b - wish.atMm))[0];
  }
}

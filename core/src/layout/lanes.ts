import type { Stretch } from '../damage/index.ts';
import type { Window } from '../sizing/index.ts';
import { nearestClear, noBodies, sorted, type Bodies } from './clear.ts';
import { overlap } from './lying.ts';
import { sectionDiameterMm } from './objective.ts';
import type { Wish } from './place.ts';
import type { BodyOn } from './profile.ts';
import type { RunToLayOut } from './types.ts';

interface Lane {
  readonly bodies: Bodies;
  readonly thick: (Stretch & BodyOn)[];
}

/**
 * Two lanes along a run, so that never more than two bodies lie over one place: a body lies clear of its lane, and of
 * those in the other one that are too thick beside it.
 */
export class Lanes {
  private readonly lanes: readonly Lane[] = [
    { bodies: noBodies(), thick: [] },
    { bodies: noBodies(), thick: [] },
  ];

  constructor(private readonly run: Pick<RunToLayOut, 'wires' | 'twoAtMostMm'>) {}

  private isTooThick(a: BodyOn, b: BodyOn): boolean {
    const { wires = [], twoAtMostMm = Infinity } = this.run;
    return sectionDiameterMm(wires, [a, b]) > twoAtMostMm;
  }

  /** Takes a body into the first lane that is free there; into the first one where neither is. */
  add(body: Stretch & BodyOn): void {
    const lane = this.lanes.find(({ thick }) => !thick.some((other) => overlap(other, body))) ?? this.lanes[0];
    lane?.bodies.add(body);
    lane?.thick.push(body);
  }

  /** The place nearest to a wished one that a lane leaves; none where neither does. */
  nearest(wish: Wish, circuitId: string, keep: readonly Window[]): number | undefined {
    const body = { circuitId, bodyMm: wish.joint.bodyDiameterMm };
    const wanted = { atMm: wish.atMm, window: wish.window, bodyLengthMm: wish.joint.bodyLengthMm };
    const places = this.lanes.flatMap((lane, index) => {
      const beside = this.lanes[1 - index]?.thick.filter((other) => this.isTooThick(body, other)) ?? [];
      return nearestClear(wanted, sorted([...keep, ...beside]), lane.bodies, 0) ?? [];
    });
    return places.sort((a, b) => Math.abs(a - wish.atMm) - Math.abs(b - wish.atMm))[0];
  }
}

import { BEND_FIXED, BEND_MOVING } from '../../bundle/index.ts';
import { cavityKindOf } from '../../damage/index.ts';
import type { CavityAct } from '../cavityTypes.ts';
import { work, type At } from './at.ts';
import { cableEndOf } from './cable.ts';
import type { Candidate } from './finish.ts';

/** What a kind of damage adds round every way of mending it: the end of its cable made anew, or its new route. */
export function around(at: At, one: Candidate): Candidate {
  const { endsCable = false, newRoute = false } = cavityKindOf(at.finding.kind);
  if (one.way.status === 'refused' || (!endsCable && !newRoute)) return one;
  const { cavity = work(at, one.way, { acts: [] }) } = one.decided;
  if (!cavity) return one;
  const { cable, lacks, asks, warnings, toolNames = [] } = cableEndOf(at);
  const { bundleMm } = at.input.runFacts;
  const acts: readonly CavityAct[] = [
    ...(endsCable ? (['cableEnd'] as const) : []),
    ...cavity.acts,
    ...(newRoute ? (['route'] as const) : []),
    ...(endsCable ? (['boot'] as const) : []),
  ];
  return {
    way: {
      ...one.way,
      status: lacks.length > 0 ? 'shelf' : one.way.status,
      lacks: [...one.way.lacks, ...lacks],
    },
    decided: {
      ...one.decided,
      cavity: {
        ...cavity,
        acts,
        cable,
        toolNames: [...cavity.toolNames, ...toolNames],
        asks: [...cavity.asks, ...asks],
        warnings: [...cavity.warnings, ...warnings],
        ...(newRoute ? { bendMm: { fixed: BEND_FIXED * bundleMm, moving: BEND_MOVING * bundleMm } } : {}),
      },
    },
  };
}

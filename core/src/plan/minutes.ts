import type { Plan } from './types.ts';

/**
 * Minutes at the bench that each finding was planned with, by its id. A connector that is replaced whole is replaced
 * once: its findings share the minutes of the first.
 */
export function minutesOf({ findings, pieces }: Pick<Plan, 'findings' | 'pieces'>): ReadonlyMap<string, number> {
  const minutes = new Map(
    findings.map(({ findingId, takenBy, ways, approach }) => [
      findingId,
      takenBy === undefined ? (ways.find(({ way }) => way === approach)?.cost.minutes ?? 0) : 0,
    ]),
  );
  for (const { findingIds } of pieces) {
    const shared = (minutes.get(findingIds[0] ?? '') ?? 0) / findingIds.length;
    for (const id of findingIds) minutes.set(id, shared);
  }
  return minutes;
}

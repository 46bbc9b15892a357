import type { Run } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';

type Change = Extract<HarnessEdit, { readonly do: 'changeRun' }>['change'];

const differs = (one: unknown, other: unknown): boolean => JSON.stringify(one) !== JSON.stringify(other);
const zoneOf = ({ zone: { area, vibration, moisture, ambientC, fuelVapour } }: Run): unknown => [
  area,
  vibration,
  moisture,
  ambientC,
  fuelVapour,
];

/** The edits that make one run another: its length is an edit of its own, because what lies on it moves along. */
export function runEdits(before: Run, after: Run): readonly HarnessEdit[] {
  const change: Change = {
    ...(after.name === before.name ? {} : { name: after.name }),
    ...(differs(zoneOf(before), zoneOf(after)) ? { zone: after.zone } : {}),
    ...(after.conduitInsideMm === before.conduitInsideMm ? {} : { conduitInsideMm: after.conduitInsideMm ?? null }),
  };
  return [
    ...(Object.keys(change).length === 0 ? [] : [{ do: 'changeRun', runId: before.id, change } as const]),
    ...(after.lengthMm === before.lengthMm
      ? []
      : [{ do: 'setLength', runId: before.id, lengthMm: after.lengthMm } as const]),
  ];
}

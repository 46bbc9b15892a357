import type { Job } from '../job/index.ts';
import type { KitNeed } from '../kit/index.ts';
import type { FindingPlan } from './types.ts';

/** What mishaps have used up: it was taken, and it is taken again. New wire is counted while new wire goes in. */
export const spentNeeds = (
  { redos }: Pick<Job, 'redos'>,
  findings: readonly FindingPlan[],
  numberOf: (circuitId: string) => string,
): KitNeed[] =>
  redos.flatMap(({ id, findingId, mishap }): KitNeed[] => {
    const finding = findings.find((one) => one.findingId === findingId);
    if (!mishap || !finding) return [];
    const { partIds, sleeveCuts, wireMm } = mishap.spent;
    const { insert } = finding;
    return [
      {
        spliceId: `spent ${id}`,
        isSpent: true,
        partIds,
        sleeveCuts,
        tapeMm: [],
        toolNames: [],
        wire:
          wireMm !== undefined && insert
            ? {
                circuitNumber: numberOf(finding.circuitId),
                spec: insert.wire.wire,
                lengthMm: wireMm,
                stockId: insert.wire.stockId,
                tag: false,
              }
            : undefined,
      },
    ];
  });

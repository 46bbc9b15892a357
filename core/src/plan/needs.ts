import type { Job } from '../job/index.ts';
import type { KitNeed } from '../kit/index.ts';
import { spentNeeds } from './spentNeeds.ts';
import type { FindingPlan } from './types.ts';

function needsOf(plan: FindingPlan, numberOf: (circuitId: string) => string): KitNeed[] {
  const method = plan.ranked.find((ranked) => ranked.methodId === plan.chosen);
  const ofPigtail = plan.approach === 'pigtail';
  const joints = plan.splices.map(({ id, side, joint, shield }): KitNeed => {
    const seals = [joint.seal, ...(shield ? [shield.joint.seal] : [])];
    const sleeves = seals.flatMap((seal) =>
      seal.kind === 'sleeve'
        ? [
            { partId: seal.partId, cutMm: seal.cutMm },
            ...(seal.buildUp
              ? Array.from({ length: seal.buildUp.side === 'both' ? 2 : 1 }, () => ({
                  partId: seal.buildUp?.partId ?? '',
                  cutMm: seal.buildUp?.cutMm ?? 0,
                }))
              : []),
          ]
        : [],
    );
    const insert = plan.insert && !ofPigtail && (side === 'left' || plan.isLead) ? plan.insert : undefined;
    return {
      spliceId: id,
      partIds: [...joint.usesPartIds, ...(shield?.joint.usesPartIds ?? [])],
      sleeveCuts: sleeves,
      toolNames: method?.toolNames ?? [],
      tapeMm: seals.flatMap((seal) => (seal.kind === 'wrap' ? [{ partId: seal.partId, lengthMm: seal.lengthMm }] : [])),
      wire: insert && {
        circuitNumber: numberOf(plan.circuitId),
        spec: insert.wire.wire,
        lengthMm: insert.lengthMm,
        stockId: insert.wire.stockId,
        tag: insert.wire.colourDiffers,
      },
    };
  });
  const { cover, drain } = plan;
  if (drain) {
    joints.push({
      spliceId: `${plan.findingId}:drain`,
      partIds: [],
      sleeveCuts: [],
      tapeMm: [],
      toolNames: [],
      wire: {
        circuitNumber: `${numberOf(plan.circuitId)} drain`,
        spec: drain.wire.wire,
        lengthMm: drain.lengthMm,
        stockId: drain.wire.stockId,
        tag: false,
      },
    });
  }
  for (const cavity of [plan.cavity, plan.far]) {
    if (!cavity) continue;
    const { cable, terminal } = cavity.work;
    const seal = terminal?.seal;
    joints.push({
      spliceId: cavity.id,
      partIds: cavity.work.partIds,
      sharedPartIds: cavity.work.sharedPartIds.map((partId) => ({ partId, per: cavity.work.at.nodeId })),
      sleeveCuts: [
        ...(seal?.kind === 'sleeve' ? [{ partId: seal.partId, cutMm: seal.cutMm }] : []),
        ...(cable?.spare && cavity.steps.some(({ key }) => key === 'spareCores')
          ? Array.from({ length: cable.unusedCores }, () => ({
              partId: cable.spare?.partId ?? '',
              cutMm: cable.spare?.cutMm ?? 0,
            }))
          : []),
        ...(cable?.sleeve && cavity.steps.some(({ key }) => key === 'boot')
          ? [{ partId: cable.sleeve.partId, cutMm: cable.sleeve.cutMm }]
          : []),
      ],
      tapeMm: seal?.kind === 'wrap' ? [{ partId: seal.partId, lengthMm: seal.lengthMm }] : [],
      toolNames: cavity.work.toolNames,
      wire:
        (cavity === plan.far || plan.far === undefined) && plan.added
          ? {
              circuitNumber: `${numberOf(plan.circuitId)} added`,
              spec: plan.added.wire.wire,
              lengthMm: plan.added.lengthMm,
              stockId: plan.added.wire.stockId,
              tag: plan.added.wire.colourDiffers,
            }
          : undefined,
    });
  }
  const ranked = plan.covers.find((one) => one.coverId === cover?.coverId);
  const partId = ranked?.partId;
  if (!cover || partId === undefined) return joints;
  const isSleeve = cover.coverId === 'sleeveCover';
  return [
    ...joints,
    {
      spliceId: cover.id,
      partIds: [],
      toolNames: ranked?.toolNames ?? [],
      sleeveCuts: isSleeve ? [{ partId, cutMm: cover.lengthMm }] : [],
      tapeMm: isSleeve ? [] : [{ partId, lengthMm: cover.lengthMm }],
    },
  ];
}

/** What all that is planned takes, make by make, and what mishaps used up. */
export function allNeeds(job: Job, findings: readonly FindingPlan[]): KitNeed[] {
  const numbers = new Map(job.harness.circuits.map(({ id, number }) => [id, number]));
  const numberOf = (circuitId: string): string => numbers.get(circuitId) ?? circuitId;
  return [...findings.flatMap((finding) => needsOf(finding, numberOf)), ...spentNeeds(job, findings, numberOf)];
}

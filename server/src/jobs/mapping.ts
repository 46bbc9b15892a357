import type { Router } from 'express';
import type { HarnessNode } from '@mendum/core/harness';
import { checkMapping, type MappingCard } from '@mendum/core/mapping';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { changeRoute, mustBeCurrent } from './change.ts';
import { touch, type StoredJob } from './store.ts';

function connectorOf({ job, row }: StoredJob, id: string): HarnessNode {
  const node = job.harness.nodes.find((one) => one.id === id && one.kind === 'connector');
  if (!node) throw new AppError('NOT_FOUND', `There is no connector "${id}" in job ${row.number}.`);
  return node;
}

/** Mapping cards of replaced connectors and pigtails: kept while they are filled in, proved by continuity. */
export function mappingRoutes(router: Router, db: Database): void {
  changeRoute(router, db, {
    name: 'saveMapping',
    what: 'mapping card',
    behindGate: false,
    work: async ({ input, stored, manager, now, audit }) => {
      const node = connectorOf(stored, input.nodeId);
      const before = stored.row.mappings.find((one) => one.nodeId === node.id);
      mustBeCurrent('The job', input.version, stored.row.version, before, input.card);
      if (input.card.nodeId !== node.id)
        throw new AppError(
          'BAD_INPUT',
          `The card is of connector "${input.card.nodeId}" and the address says "${node.id}".`,
          { field: '/card/nodeId' },
        );
      // A card that is still being filled in may lack circuits; what is on it must be right.
      const [problem] = checkMapping(node, stored.job.harness, input.card).filter((one) => one.kind !== 'missing');
      if (problem)
        throw new AppError('MAPPING_REFUSED', problem.because, {
          hint: problem.remedy,
          details: checkMapping(node, stored.job.harness, input.card),
        });
      // Readings were taken on the joints as they were: other joints, other readings.
      const same =
        JSON.stringify([before?.pigtail, before?.joins]) === JSON.stringify([input.card.pigtail, input.card.joins]);
      const card: MappingCard = { ...input.card, readings: same ? (before?.readings ?? []) : [] };
      await audit('mapping card', stored.row.id, card);
      return {
        version: await touch(manager, stored.row, now, {
          mappings: [...stored.row.mappings.filter((one) => one.nodeId !== node.id), card],
        }),
      };
    },
  });

  changeRoute(router, db, {
    name: 'readContinuity',
    what: 'continuity reading',
    behindGate: true,
    work: async ({ input, stored, manager, now, audit }) => {
      const node = connectorOf(stored, input.nodeId);
      const card = stored.row.mappings.find((one) => one.nodeId === node.id);
      if (!card) throw new AppError('NOT_FOUND', `${node.name} has no mapping card in job ${stored.row.number}.`);
      const [problem] = checkMapping(node, stored.job.harness, card);
      if (problem) throw new AppError('MAPPING_REFUSED', problem.because, { hint: problem.remedy });
      const { cavity, soundsAt, neighbourSounds } = input;
      const reading = { cavity, soundsAt, neighbourSounds, by: input.by, at: now };
      await audit('continuity reading', stored.row.id, { nodeId: node.id, ...reading });
      const mappings = stored.row.mappings.map((one) =>
        one.nodeId === node.id ? { ...one, readings: [...one.readings, reading] } : one,
      );
      return { version: await touch(manager, stored.row, now, { mappings }) };
    },
  });
}

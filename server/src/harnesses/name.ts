import { keepRecord } from '../chain/append.ts';
import { In, type EntityManager } from 'typeorm';
import type { NamedHarness } from '@mendum/core/job';
import { figure } from '@mendum/core/units';
import { HarnessEntity, JobEntity, MachineEntity, RecordEntity } from '../db/entities.ts';
import { AppError } from '../errors.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { notReplaced } from '../record/notReplaced.ts';
import { corrected } from '../record/rows.ts';
import { keepAside, machineIdOf } from './store.ts';

/** What a machine that is named later is said to be in the records that were signed before. */
const wordsOf = ({ name, kind, systemVoltageV }: NamedHarness['machine']): string =>
  `Machine named afterwards: ${name}, ${kind}, ${figure(systemVoltageV)} V.`;

/**
 * Says what a harness is called and of which machine it is. Open jobs are planned with it; signed ones keep the harness
 * as it was, their records are corrected by new rows that say so.
 * @returns its new version, and how many records were corrected
 * @throws AppError NOT_FOUND, STALE
 */
export async function nameHarness(
  manager: EntityManager,
  askedId: string,
  version: number,
  { name, machine }: NamedHarness,
  said: { readonly by: string; readonly now: string },
): Promise<{ readonly harnessVersion: number; readonly corrected: number }> {
  const asked = await manager.findOneBy(HarnessEntity, { id: askedId });
  if (!asked) throw new AppError('NOT_FOUND', `There is no harness "${askedId}".`);
  // From a signed job it is asked of the state that was kept for it: all states of a harness are of one machine.
  const id = asked.keptFor ?? asked.id;
  const row = await manager.findOneByOrFail(HarnessEntity, { id });
  const was = await manager.findOneByOrFail(MachineEntity, { id: row.machineId });
  mustBeCurrent('The harness', version, asked.version, { name: row.name, machine: was }, { name, machine });
  if (await manager.existsBy(JobEntity, { harnessId: id, status: 'signed' }))
    await manager.update(JobEntity, { harnessId: id, status: 'signed' }, { harnessId: await keepAside(manager, id) });

  const isOther = was.name !== machine.name || was.kind !== machine.kind;
  const kept = isOther ? await manager.findBy(HarnessEntity, { keptFor: id }) : [];
  for (const one of kept) {
    const { systemVoltageV } = await manager.findOneByOrFail(MachineEntity, { id: one.machineId });
    // What it was planned with stays: of its machine only the name is known better.
    const machineId = await machineIdOf(manager, { ...machine, systemVoltageV });
    await manager.update(HarnessEntity, { id: one.id }, { machineId, version: one.version + 1 });
  }
  const signed = kept.length === 0 ? [] : await manager.findBy(JobEntity, { harnessId: In(kept.map((one) => one.id)) });
  const records =
    signed.length === 0 ? [] : await manager.findBy(RecordEntity, { jobId: In(signed.map((one) => one.id)) });
  const standing = notReplaced(records);
  for (const old of standing)
    await keepRecord(
      manager,
      corrected(old, { by: said.by, at: said.now, text: wordsOf(machine) }, { machine: machine.name }),
    );

  const harnessVersion = row.version + 1;
  await manager.update(
    HarnessEntity,
    { id },
    { name, machineId: await machineIdOf(manager, machine), version: harnessVersion },
  );
  for (const job of await manager.findBy(JobEntity, { harnessId: id }))
    await manager.update(
      JobEntity,
      { id: job.id },
      {
        version: job.version + 1,
        updatedAt: said.now,
        // A job that was called after its harness still is.
        ...(job.title === row.name ? { title: name } : {}),
      },
    );
  return { harnessVersion, corrected: standing.length };
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Long lists stay quick: jobs by their last change and by harness, records by what they replace and by their day. */
export class Lists1765000000000 implements MigrationInterface {
  name = 'Lists1765000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE INDEX "job_by_change" ON "job" ("updatedAt", "id")`);
    await runner.query(`CREATE INDEX "job_by_harness" ON "job" ("harnessId")`);
    await runner.query(`CREATE INDEX "record_by_replaced" ON "record" ("replacesId")`);
    await runner.query(`CREATE INDEX "record_by_due" ON "record" ("temporaryUntil", "id")`);
    await runner.query(`CREATE INDEX "record_by_signed" ON "record" ("signedAt", "id")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ['record_by_signed', 'record_by_due', 'record_by_replaced', 'job_by_harness', 'job_by_change'])
      await runner.query(`DROP INDEX "${name}"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The run on which a made splice lies, where that is not its finding's. */
export class PastEnds1764500000000 implements MigrationInterface {
  name = 'PastEnds1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "pin" ADD COLUMN "runId" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "pin" DROP COLUMN "runId"');
  }
}

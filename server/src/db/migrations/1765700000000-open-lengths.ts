import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A run may be one of which nobody has measured all. */
export class OpenLengths1765700000000 implements MigrationInterface {
  name = 'OpenLengths1765700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "run" ADD COLUMN "atLeast" boolean NOT NULL DEFAULT (0)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "run" DROP COLUMN "atLeast"');
  }
}

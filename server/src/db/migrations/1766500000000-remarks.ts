import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What else is noted of a circuit, and which sheets the circuits of a harness were read from. */
export class Remarks1766500000000 implements MigrationInterface {
  name = 'Remarks1766500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "circuit" ADD COLUMN "remark" text');
    await runner.query('ALTER TABLE "harness" ADD COLUMN "sources" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "harness" DROP COLUMN "sources"');
    await runner.query('ALTER TABLE "circuit" DROP COLUMN "remark"');
  }
}

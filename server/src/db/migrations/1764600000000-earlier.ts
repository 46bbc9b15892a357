import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Repairs of earlier jobs that came with a job's file. */
export class Earlier1764600000000 implements MigrationInterface {
  name = 'Earlier1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "job" ADD COLUMN "earlier" text NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "job" DROP COLUMN "earlier"');
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Runs that are jacketed cables: outer diameter and unused cores. */
export class Cables1764800000000 implements MigrationInterface {
  name = 'Cables1764800000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "run" ADD COLUMN "cable" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "run" DROP COLUMN "cable"');
  }
}

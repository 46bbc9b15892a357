import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A harness keeps where repairs on it lie since it was edited. */
export class Placed1765200000000 implements MigrationInterface {
  name = 'Placed1765200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "harness" ADD COLUMN "placed" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "harness" DROP COLUMN "placed"`);
  }
}

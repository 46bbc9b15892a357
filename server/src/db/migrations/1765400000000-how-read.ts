import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A reading says what it was taken with, and whether it was one of several looks confirmed together. */
export class HowRead1765400000000 implements MigrationInterface {
  name = 'HowRead1765400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "reading" ADD COLUMN "inOneGo" boolean NOT NULL DEFAULT (0)`);
    await runner.query(`ALTER TABLE "reading" ADD COLUMN "instrument" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "reading" DROP COLUMN "instrument"`);
    await runner.query(`ALTER TABLE "reading" DROP COLUMN "inOneGo"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What went wrong is kept with what it cost; what was made again before says nothing of it. */
export class Mishaps1765100000000 implements MigrationInterface {
  name = 'Mishaps1765100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "redo" ADD COLUMN "mishap" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "redo" DROP COLUMN "mishap"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A job keeps what was seen of functions, before its repair and after it. */
export class Functions1765500000000 implements MigrationInterface {
  name = 'Functions1765500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "job" ADD COLUMN "functions" text NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "job" DROP COLUMN "functions"');
  }
}

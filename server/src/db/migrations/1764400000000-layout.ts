import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What people decided about where the splices of a job go. */
export class Layout1764400000000 implements MigrationInterface {
  name = 'Layout1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "job" ADD COLUMN "layout" text NOT NULL DEFAULT '{"pins":[],"atOne":[],"found":[]}'`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "job" DROP COLUMN "layout"');
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

const TABLES = ['choice', 'tick', 'reading'];

/** What people do is in the order of the job's versions, and not of a clock. */
export class Sequence1765800000000 implements MigrationInterface {
  name = 'Sequence1765800000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES)
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "jobVersion" integer NOT NULL DEFAULT (1)`);
    // Rows lie in the order in which they were put in; a job's version is raised above all of its choices.
    await runner.query(
      `UPDATE "choice" SET "jobVersion" = (SELECT COUNT(*) FROM "choice" AS "o"
        WHERE "o"."jobId" = "choice"."jobId" AND "o"."rowid" <= "choice"."rowid")`,
    );
    await runner.query(
      `UPDATE "job" SET "version" = "version" + (SELECT COUNT(*) FROM "choice" WHERE "choice"."jobId" = "job"."id")`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "jobVersion"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was seen on a harness and left: a list that a machine has. And work at cavities that came with a job's file. */
export class Todos1766400000000 implements MigrationInterface {
  name = 'Todos1766400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "todo" ("id" text PRIMARY KEY NOT NULL, "harnessId" text NOT NULL, "words" text NOT NULL, ` +
        `"circuitId" text, "finding" text, "by" text NOT NULL, "at" text NOT NULL, "seenInJobId" text, ` +
        `"doneInJobId" text, "doneFindingId" text, "endedAt" text, "endedBy" text, "because" text, ` +
        `CONSTRAINT "FK_e9e43e357de391b39ec86a3e2ce" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id") ` +
        `ON DELETE NO ACTION ON UPDATE NO ACTION)`,
    );
    await runner.query(`ALTER TABLE "job" ADD COLUMN "earlierEnds" text NOT NULL DEFAULT '[]'`);
    await runner.query(`CREATE INDEX "todo_by_harness" ON "todo" ("harnessId", "endedAt")`);
    await runner.query(`CREATE INDEX "todo_by_job" ON "todo" ("doneInJobId")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "todo"`);
    await runner.query(`ALTER TABLE "job" DROP COLUMN "earlierEnds"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Repairs are ended by those that cut them out or make them good; those that were cut out so far are. */
export class Good1766100000000 implements MigrationInterface {
  name = 'Good1766100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "good" ("jobId" text NOT NULL, "spliceId" text NOT NULL, "byJobId" text NOT NULL, "endedAt" text, ` +
        `CONSTRAINT "FK_e83d1059a5c4fe483551b96a96a" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, ` +
        `CONSTRAINT "FK_fe00c1404b364f2db922da75033" FOREIGN KEY ("byJobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, ` +
        `PRIMARY KEY ("jobId", "spliceId", "byJobId"))`,
    );
    await runner.query(
      `INSERT OR IGNORE INTO "good" SELECT old."jobId", old."spliceId", new."jobId", new."signedAt" ` +
        `FROM "record" new, json_each(new."body", '$.cutsOut') gone JOIN "record" old ON old."id" = gone."value"`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "good"');
  }
}

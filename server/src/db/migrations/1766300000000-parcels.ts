import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What other shops gave: records and files under their own numbers. And repairs that are shown to whoever has a link. */
export class Parcels1766300000000 implements MigrationInterface {
  name = 'Parcels1766300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "parcel" ("id" text PRIMARY KEY NOT NULL, "shop" text NOT NULL, "manifest" text NOT NULL, "records" integer NOT NULL, ` +
        `"signed" integer NOT NULL, "by" text NOT NULL, "at" text NOT NULL)`,
    );
    await runner.query(
      `CREATE TABLE "parcel_file" ("parcelId" text NOT NULL, "name" text NOT NULL, "content" blob NOT NULL, ` +
        `CONSTRAINT "FK_cdfd1ef4299481376f0d5a1823a" FOREIGN KEY ("parcelId") REFERENCES "parcel" ("id") ON DELETE CASCADE ON UPDATE NO ACTION, ` +
        `PRIMARY KEY ("parcelId", "name"))`,
    );
    await runner.query(
      `CREATE TABLE "parcel_record" ("parcelId" text NOT NULL, "chainRow" integer NOT NULL, "recordId" text NOT NULL, "folder" text NOT NULL, ` +
        `"body" text NOT NULL, "text" text NOT NULL, ` +
        `CONSTRAINT "FK_ce76a086c42dba95515e49c67e7" FOREIGN KEY ("parcelId") REFERENCES "parcel" ("id") ON DELETE CASCADE ON UPDATE NO ACTION, ` +
        `PRIMARY KEY ("parcelId", "chainRow"))`,
    );
    await runner.query(
      `CREATE TABLE "share" ("id" text PRIMARY KEY NOT NULL, "keyHash" text NOT NULL, "jobId" text NOT NULL, "spliceId" text NOT NULL, ` +
        `"until" text NOT NULL, "by" text NOT NULL, "at" text NOT NULL, "endedAt" text, ` +
        `CONSTRAINT "FK_79f9ba10d2b9460f25a6d46fc9c" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
    );
    await runner.query(`CREATE INDEX "share_by_key" ON "share" ("keyHash")`);
    await runner.query(`CREATE INDEX "share_by_repair" ON "share" ("jobId", "spliceId")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['share', 'parcel_record', 'parcel_file', 'parcel'])
      await runner.query(`DROP TABLE "${table}"`);
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Harnesses can be edited: they carry a version, and a harness that a signed job stands on is kept aside as it was
 * (`keptFor` names the harness that went on). Cavities get terminal family and seal, findings get photos, jobs get
 * mapping cards.
 */
export class Survey1764200000000 implements MigrationInterface {
  name = 'Survey1764200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "harness" ADD COLUMN "version" integer NOT NULL DEFAULT 1');
    await runner.query('ALTER TABLE "harness" ADD COLUMN "keptFor" text');
    await runner.query('ALTER TABLE "node" ADD COLUMN "fittings" text');
    await runner.query(`ALTER TABLE "job" ADD COLUMN "mappings" text NOT NULL DEFAULT '[]'`);
    await runner.query(
      'CREATE TABLE "photo" ("id" text PRIMARY KEY NOT NULL, "jobId" text NOT NULL, "findingId" text NOT NULL, "name" text NOT NULL, "type" text NOT NULL, "sizeBytes" integer NOT NULL, "widthPx" integer NOT NULL, "heightPx" integer NOT NULL, "by" text NOT NULL, "at" text NOT NULL, "removed" boolean NOT NULL, CONSTRAINT "FK_7abaf392a82235bc7da2281a56d" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)',
    );
    await runner.query('CREATE INDEX "photo_by_job" ON "photo" ("jobId")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "photo"');
    await runner.query('ALTER TABLE "job" DROP COLUMN "mappings"');
    await runner.query('ALTER TABLE "node" DROP COLUMN "fittings"');
    await runner.query('ALTER TABLE "harness" DROP COLUMN "keptFor"');
    await runner.query('ALTER TABLE "harness" DROP COLUMN "version"');
  }
}

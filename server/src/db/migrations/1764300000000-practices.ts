import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A shop's own practices, and what begun work of a job is made by. */
export class Practices1764300000000 implements MigrationInterface {
  name = 'Practices1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'CREATE TABLE "practice" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL, "kept" boolean NOT NULL, "body" text NOT NULL)',
    );
    await runner.query(`ALTER TABLE "job" ADD COLUMN "held" text NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "job" DROP COLUMN "held"');
    await runner.query('DROP TABLE "practice"');
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the shop has settled for all jobs. */
export class Settings1765300000000 implements MigrationInterface {
  name = 'Settings1765300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE TABLE "setting" ("id" text PRIMARY KEY NOT NULL, "value" text NOT NULL)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "setting"');
  }
}

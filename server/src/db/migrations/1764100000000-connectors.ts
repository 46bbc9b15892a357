import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Connectors get their face (where the cavities lie and how they are numbered) and their lock family. */
export class Connectors1764100000000 implements MigrationInterface {
  name = 'Connectors1764100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "node" ADD COLUMN "face" text');
    await runner.query('ALTER TABLE "node" ADD COLUMN "lock" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "node" DROP COLUMN "lock"');
    await runner.query('ALTER TABLE "node" DROP COLUMN "face"');
  }
}

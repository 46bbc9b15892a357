import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The terminal that somebody took instead of the ranking's first, and the shield that a circuit lies in. */
export class Terminals1764900000000 implements MigrationInterface {
  name = 'Terminals1764900000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "choice" ADD COLUMN "terminal" text');
    await runner.query('ALTER TABLE "circuit" ADD COLUMN "shield" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "circuit" DROP COLUMN "shield"');
    await runner.query('ALTER TABLE "choice" DROP COLUMN "terminal"');
  }
}

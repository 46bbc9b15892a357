import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is moulded and printed on a connector: family, number, keying, mate, release tool. */
export class Identity1764700000000 implements MigrationInterface {
  name = 'Identity1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "node" ADD COLUMN "identity" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "node" DROP COLUMN "identity"');
  }
}

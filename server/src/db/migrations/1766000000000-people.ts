import type { MigrationInterface, QueryRunner } from 'typeorm';

/** People may sign in. */
export class People1766000000000 implements MigrationInterface {
  name = 'People1766000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "account" ("id" text PRIMARY KEY NOT NULL, "name" text NOT NULL, "nameKey" text NOT NULL, ` +
        `"role" text NOT NULL, "active" boolean NOT NULL, "secret" text NOT NULL, "mustChange" boolean NOT NULL, "since" text NOT NULL, ` +
        `CONSTRAINT "account_name" UNIQUE ("nameKey"))`,
    );
    await runner.query(
      `CREATE TABLE "sign_in" ("id" text PRIMARY KEY NOT NULL, "accountId" text NOT NULL, "tokenHash" text NOT NULL, ` +
        `"device" text NOT NULL, "shared" boolean NOT NULL, "since" text NOT NULL, "seen" text NOT NULL, ` +
        `CONSTRAINT "sign_in_token" UNIQUE ("tokenHash"), ` +
        `CONSTRAINT "FK_95cbcf6a2d39139680b7480c1ed" FOREIGN KEY ("accountId") REFERENCES "account" ("id") ` +
        `ON DELETE NO ACTION ON UPDATE NO ACTION)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "sign_in"');
    await runner.query('DROP TABLE "account"');
  }
}

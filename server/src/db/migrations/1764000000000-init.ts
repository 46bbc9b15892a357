import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The tables of the first slice. Records and the audit log are append-only: triggers refuse to change or remove a row.
 */
const TABLES = [
  `CREATE TABLE "machine" ("id" text PRIMARY KEY NOT NULL, "name" text NOT NULL, "kind" text NOT NULL, "systemVoltageV" real NOT NULL)`,
  `CREATE TABLE "harness" ("id" text PRIMARY KEY NOT NULL, "machineId" text NOT NULL, "name" text NOT NULL, CONSTRAINT "FK_4444c6294f0e4cc0fee3a270272" FOREIGN KEY ("machineId") REFERENCES "machine" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "node" ("harnessId" text NOT NULL, "id" text NOT NULL, "position" integer NOT NULL, "kind" text NOT NULL, "name" text NOT NULL, "ways" integer, CONSTRAINT "FK_287a9e5cf1a4a5d96b7153555c4" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("harnessId", "id"))`,
  `CREATE TABLE "run" ("harnessId" text NOT NULL, "id" text NOT NULL, "position" integer NOT NULL, "name" text NOT NULL, "fromNodeId" text NOT NULL, "toNodeId" text NOT NULL, "lengthMm" real NOT NULL, "conduitInsideMm" real, "zone" text NOT NULL, "features" text NOT NULL, CONSTRAINT "FK_0ab3512a8a97e1f13e02a30313a" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("harnessId", "id"))`,
  `CREATE TABLE "circuit" ("harnessId" text NOT NULL, "id" text NOT NULL, "position" integer NOT NULL, "number" text NOT NULL, "function" text NOT NULL, "kind" text NOT NULL, "areaMm2" real NOT NULL, "colourBase" text NOT NULL, "fromNodeId" text NOT NULL, "fromCavity" text NOT NULL, "toNodeId" text NOT NULL, "toCavity" text NOT NULL, "fuseA" real, "loadA" real, "pairWith" text, "wire" text NOT NULL, "runIds" text NOT NULL, CONSTRAINT "one_circuit_per_number" UNIQUE ("harnessId", "number"), CONSTRAINT "FK_f065d343b0ede7a7fe2b6c9e582" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("harnessId", "id"))`,
  `CREATE TABLE "job" ("id" text PRIMARY KEY NOT NULL, "number" text NOT NULL, "title" text NOT NULL, "harnessId" text NOT NULL, "practiceId" text NOT NULL, "status" text NOT NULL, "openedOn" text NOT NULL, "gate" text NOT NULL, "version" integer NOT NULL, "createdBy" text NOT NULL, "createdAt" text NOT NULL, "updatedAt" text NOT NULL, CONSTRAINT "UQ_e9c25de93ebd0e23ef6174ce1e9" UNIQUE ("number"), CONSTRAINT "FK_e2b907b65b519483a0779df2d65" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "finding" ("jobId" text NOT NULL, "id" text NOT NULL, "position" integer NOT NULL, "circuitId" text NOT NULL, "runId" text NOT NULL, "kind" text NOT NULL, "fromMm" real NOT NULL, "toMm" real NOT NULL, "body" text NOT NULL, "version" integer NOT NULL, CONSTRAINT "FK_a9ea61d3e489b8f9109b0a2d8ec" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("jobId", "id"))`,
  `CREATE TABLE "choice" ("id" text PRIMARY KEY NOT NULL, "jobId" text NOT NULL, "findingId" text NOT NULL, "use" text, "reason" text NOT NULL, "by" text NOT NULL, "at" text NOT NULL, CONSTRAINT "FK_b9825192472d77d7dac105011c7" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "pin" ("jobId" text NOT NULL, "findingId" text NOT NULL, "side" text NOT NULL, "centreMm" real NOT NULL, CONSTRAINT "FK_c8bc3bf8216cd0268edfc0431c1" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("jobId", "findingId", "side"))`,
  `CREATE TABLE "tick" ("jobId" text NOT NULL, "stepId" text NOT NULL, "spliceId" text NOT NULL, "done" boolean NOT NULL, "by" text NOT NULL, "at" text NOT NULL, CONSTRAINT "FK_0d153d93f5b5a03dabb43f43873" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION, PRIMARY KEY ("jobId", "stepId"))`,
  `CREATE TABLE "reading" ("id" text PRIMARY KEY NOT NULL, "jobId" text NOT NULL, "spliceId" text NOT NULL, "make" integer NOT NULL, "checkId" text NOT NULL, "value" text NOT NULL, "by" text NOT NULL, "at" text NOT NULL, "sequence" integer NOT NULL, CONSTRAINT "FK_36292668eb76cdf853b4949feee" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "redo" ("id" text PRIMARY KEY NOT NULL, "jobId" text NOT NULL, "findingId" text NOT NULL, "lostFromMm" real NOT NULL, "lostToMm" real NOT NULL, "because" text NOT NULL, "by" text NOT NULL, "at" text NOT NULL, "sequence" integer NOT NULL, CONSTRAINT "FK_d3d748531fd469fb76cca3e2aea" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "record" ("id" text PRIMARY KEY NOT NULL, "jobId" text NOT NULL, "spliceId" text NOT NULL, "circuitNumber" text NOT NULL, "temporaryUntil" text, "replacesId" text, "body" text NOT NULL, "signedBy" text NOT NULL, "signedAt" text NOT NULL, CONSTRAINT "FK_779f899095feebe9b2ef1a13c12" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE NO ACTION ON UPDATE NO ACTION)`,
  `CREATE TABLE "audit" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "at" text NOT NULL, "by" text NOT NULL, "what" text NOT NULL, "jobId" text, "detail" text NOT NULL)`,
  `CREATE TABLE "receipt" ("writeId" text PRIMARY KEY NOT NULL, "at" text NOT NULL, "digest" text NOT NULL, "status" integer NOT NULL, "body" text NOT NULL)`,
  `CREATE TABLE "person" ("name" text PRIMARY KEY NOT NULL, "since" text NOT NULL)`,
  `CREATE TABLE "catalogue" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL, "body" text NOT NULL)`,
  `CREATE INDEX "reading_by_splice" ON "reading" ("jobId", "spliceId")`,
  `CREATE INDEX "record_by_job" ON "record" ("jobId")`,
];

const APPEND_ONLY = ['record', 'audit'];

export class Init1764000000000 implements MigrationInterface {
  name = 'Init1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const sql of TABLES) await runner.query(sql);
    for (const table of APPEND_ONLY) {
      for (const verb of ['UPDATE', 'DELETE']) {
        await runner.query(
          `CREATE TRIGGER "${table}_no_${verb.toLowerCase()}" BEFORE ${verb} ON "${table}" BEGIN SELECT RAISE(ABORT, '${table} is append-only'); END`,
        );
      }
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of APPEND_ONLY) {
      for (const verb of ['update', 'delete']) await runner.query(`DROP TRIGGER "${table}_no_${verb}"`);
    }
    for (const table of [
      'catalogue',
      'person',
      'receipt',
      'audit',
      'record',
      'redo',
      'reading',
      'tick',
      'pin',
      'choice',
      'finding',
      'job',
      'circuit',
      'run',
      'node',
      'harness',
      'machine',
    ])
      await runner.query(`DROP TABLE "${table}"`);
  }
}

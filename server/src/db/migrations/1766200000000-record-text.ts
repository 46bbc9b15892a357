import type { MigrationInterface, QueryRunner } from 'typeorm';
import type { Finding } from '@mendum/core/damage';
import type { SpliceRecord } from '@mendum/core/record';
import { textOf } from '../../record/found.ts';

interface Found {
  readonly id: string;
  readonly body: string;
  readonly title: string;
  readonly finding: string | null;
}
/** Records that are read at once. */
const AT_ONCE = 500;

/** The words that each record is found by stand beside it. */
export class RecordText1766200000000 implements MigrationInterface {
  name = 'RecordText1766200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "found" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "recordId" text NOT NULL, "text" text NOT NULL)`,
    );
    await runner.query(`CREATE UNIQUE INDEX "found_by_record" ON "found" ("recordId")`);
    // Every three letters of a text, so that any part of a word is found.
    await runner.query(
      `CREATE VIRTUAL TABLE "found_words" USING fts5("text", content="found", content_rowid="id", tokenize="trigram")`,
    );
    await runner.query(
      `CREATE TRIGGER "found_kept" AFTER INSERT ON "found" BEGIN ` +
        `INSERT INTO "found_words" ("rowid", "text") VALUES (new."id", new."text"); END`,
    );
    for (let after = ''; ;) {
      const rows = (await runner.query(
        `SELECT record."id", record."body", job."title", finding."body" AS "finding" FROM "record" ` +
          `JOIN "job" ON job."id" = record."jobId" LEFT JOIN "finding" ON finding."jobId" = record."jobId" ` +
          `AND record."spliceId" LIKE finding."id" || ':%' WHERE record."id" > ? GROUP BY record."id" ` +
          `ORDER BY record."id" LIMIT ${AT_ONCE}`,
        [after],
      )) as Found[];
      for (const { id, body, title, finding } of rows) {
        const note = finding === null ? undefined : (JSON.parse(finding) as Finding).note;
        await runner.query(`INSERT INTO "found" ("recordId", "text") VALUES (?, ?)`, [
          id,
          textOf(JSON.parse(body) as SpliceRecord, title, note),
        ]);
      }
      if (rows.length < AT_ONCE) return;
      after = rows.at(-1)?.id ?? '';
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "found_words"');
    await runner.query('DROP TABLE "found"');
  }
}

import type { MigrationInterface, QueryRunner } from 'typeorm';
import type { Finding } from '@mendum/core/damage';
import type { SpliceRecord } from '@mendum/core/record';
import { textOf } from '../found.ts';

interface Found {
  readonly chainRow: number;
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
    await runner.query(`CREATE TABLE "found" ("chainRow" integer PRIMARY KEY NOT NULL, "text" text NOT NULL)`);
    // Every three letters of a text, so that any part of a word is found.
    await runner.query(
      `CREATE VIRTUAL TABLE "found_words" USING fts5("text", content="found", content_rowid="chainRow", tokenize="trigram")`,
    );
    await runner.query(
      `CREATE TRIGGER "found_kept" AFTER INSERT ON "found" BEGIN ` +
        `INSERT INTO "found_words" ("rowid", "text") VALUES (new."chainRow", new."text"); END`,
    );
    await runner.query(
      `CREATE TRIGGER "found_gone" AFTER DELETE ON "found" BEGIN ` +
        `INSERT INTO "found_words" ("found_words", "rowid", "text") VALUES ('delete', old."chainRow", old."text"); END`,
    );
    for (let after = 0; ;) {
      const rows = (await runner.query(
        `SELECT record."chainRow", record."body", job."title", finding."body" AS "finding" FROM "record" ` +
          `JOIN "job" ON job."id" = record."jobId" LEFT JOIN "finding" ON finding."jobId" = record."jobId" ` +
          `AND rtrim(record."spliceId", replace(record."spliceId", ':', '')) = finding."id" || ':' ` +
          `WHERE record."chainRow" > ? AND NOT EXISTS (SELECT 1 FROM "record" newer WHERE newer."replacesId" = record."id") ` +
          `ORDER BY record."chainRow" LIMIT ${AT_ONCE}`,
        [after],
      )) as Found[];
      for (const { chainRow, body, title, finding } of rows) {
        const note = finding === null ? undefined : (JSON.parse(finding) as Finding).note;
        await runner.query(`INSERT INTO "found" ("chainRow", "text") VALUES (?, ?)`, [
          chainRow,
          textOf(JSON.parse(body) as SpliceRecord, title, note),
        ]);
      }
      if (rows.length < AT_ONCE) return;
      after = rows.at(-1)?.chainRow ?? 0;
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "found_words"');
    await runner.query('DROP TABLE "found"');
  }
}

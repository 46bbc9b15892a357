import type { MigrationInterface, QueryRunner } from 'typeorm';
import { EMPTY, HEAD_ID, headText } from '../../chain/head.ts';
import { hashOf, type Content } from '../../chain/link.ts';

const TABLES = ['record', 'audit'] as const;
/** What the rows of each table said when they were put into the chain. */
const FIELDS = {
  record: ['id', 'jobId', 'spliceId', 'circuitNumber', 'temporaryUntil', 'replacesId', 'body', 'signedBy', 'signedAt'],
  audit: ['at', 'by', 'what', 'jobId', 'detail'],
} as const;
const JSON_FIELD = { record: 'body', audit: 'detail' } as const;
const noUpdate = (table: string): string =>
  `CREATE TRIGGER "${table}_no_update" BEFORE UPDATE ON "${table}" BEGIN SELECT RAISE(ABORT, '${table} is append-only'); END`;

/** Records and audit lines stand in one chain. What was there before is put into it as it is found. */
export class Chain1765900000000 implements MigrationInterface {
  name = 'Chain1765900000000';

  async up(runner: QueryRunner): Promise<void> {
    let head = EMPTY;
    for (const table of TABLES) {
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "chainRow" integer NOT NULL DEFAULT (0)`);
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "hash" text NOT NULL DEFAULT ('')`);
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "signature" text`);
      await runner.query(`DROP TRIGGER "${table}_no_update"`);
      const names = FIELDS[table].map((name) => `"${name}"`).join(', ');
      const found = (await runner.query(
        `SELECT "rowid" AS "at_row", ${names} FROM "${table}" ORDER BY "rowid"`,
      )) as (Record<string, unknown> & { readonly at_row: number })[];
      for (const { at_row: place, ...fields } of found) {
        const name = JSON_FIELD[table];
        const content = { ...fields, [name]: JSON.parse(String(fields[name])) as unknown };
        const row = head.row + 1;
        const hash = hashOf(row, head.hash, { kind: table, content } as unknown as Content);
        await runner.query(`UPDATE "${table}" SET "chainRow" = ?, "hash" = ? WHERE "rowid" = ?`, [row, hash, place]);
        head = { row, hash };
      }
      await runner.query(noUpdate(table));
      await runner.query(`CREATE UNIQUE INDEX "${table}_in_chain" ON "${table}" ("chainRow")`);
    }
    await runner.query(`INSERT OR REPLACE INTO "setting" ("id", "value") VALUES (?, ?)`, [HEAD_ID, headText(head)]);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) {
      await runner.query(`DROP INDEX "${table}_in_chain"`);
      for (const column of ['signature', 'hash', 'chainRow'])
        await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
    }
  }
}

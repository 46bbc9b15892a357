import type { EntityManager } from 'typeorm';
import { AuditEntity, RecordEntity } from '../db/entities.ts';
import type { Head } from './head.ts';
import { HEAD_ID, headIn } from './head.ts';
import type { StoredRow } from './walk.ts';

/** Asks a database in SQL. */
export type Ask = (sql: string, values: readonly unknown[]) => Promise<unknown[]> | unknown[];

/** Asks the database of a manager. */
export const askBy =
  (manager: EntityManager): Ask =>
  (sql, values) =>
    manager.query<unknown[]>(sql, [...values]);

const PLACE = ['chainRow', 'hash', 'signature'];
const OWN = { record: [], audit: ['id'] } as const satisfies Record<string, readonly string[]>;
const TABLES = [RecordEntity, AuditEntity].map(({ options: { name, columns } }) => {
  const kind = name as StoredRow['kind'];
  const left: readonly string[] = [...PLACE, ...OWN[kind]];
  return { kind, fields: Object.keys(columns).filter((column) => !left.includes(column)) };
});

/** The rows of the chain of a database, from both tables, in order. */
export const rowsOf =
  (ask: Ask) =>
  async (row: number, most: number): Promise<readonly StoredRow[]> => {
    const found = await Promise.all(
      TABLES.map(async ({ kind, fields }) => {
        const names = [...PLACE, ...fields].map((name) => `"${name}"`).join(', ');
        const sql = `SELECT ${names} FROM "${kind}" WHERE "chainRow" >= ? ORDER BY "chainRow", "rowid" LIMIT ?`;
        const rows = (await ask(sql, [row, most])) as (Omit<StoredRow, 'kind' | 'fields'> & Record<string, unknown>)[];
        return rows.map(({ chainRow, hash, signature, ...rest }): StoredRow => ({
          chainRow,
          hash,
          signature,
          kind,
          fields: rest,
        }));
      }),
    );
    return found
      .flat()
      .sort((a, b) => a.chainRow - b.chainRow)
      .slice(0, most);
  };

/** The head of the chain of a database, as it is written down. */
export async function headOf(ask: Ask): Promise<Head> {
  const [stored] = (await ask('SELECT "value" FROM "setting" WHERE "id" = ?', [HEAD_ID])) as { value: string }[];
  return headIn(stored?.value);
}

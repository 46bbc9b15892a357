import type { KeyObject } from 'node:crypto';
import type Sqlite from 'better-sqlite3';
import { headOf, rowsOf, type Ask } from './stored.ts';
import { walk, type Walked } from './walk.ts';

const askOf =
  (db: Sqlite.Database): Ask =>
  (sql, values) =>
    db.prepare(sql).all(...values);

/** Walks the chain of a database that is open. @param key public, where rows are signed */
export const walkFile = async (db: Sqlite.Database, key?: KeyObject): Promise<Walked> =>
  walk(rowsOf(askOf(db)), await headOf(askOf(db)), key);

/** "Chain whole to row 2,318" or "The chain does not hold at row 3: …". */
export const chainWords = ({ whole, broken }: Walked): string =>
  broken
    ? `The chain of records does not hold at row ${broken.row}: ${broken.why}.`
    : `The chain of records is whole to row ${whole.row.toLocaleString('en')}, ${whole.hash}.`;

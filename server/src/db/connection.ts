import type Sqlite from 'better-sqlite3';
import type { DataSource } from 'typeorm';

export type Statement = Sqlite.Statement;

/** The connection that a database is reached by: SQLite itself, without the object mapper. */
export const connectionOf = (source: DataSource): Sqlite.Database =>
  (source.driver as unknown as { readonly databaseConnection: Sqlite.Database }).databaseConnection;

import type { DataSource, EntityManager, EntitySchema } from 'typeorm';
import { connectionOf, type Statement } from './connection.ts';

/** Values of some columns that a row must have; null is none. */
type Where<R> = { readonly [K in keyof R]?: R[K] & (string | number | boolean | null) };

/** A column as it is named, read and written. */
interface Column {
  readonly name: string;
  readonly toSql: (value: unknown) => unknown;
  /** None where the value is what is stored. */
  readonly fromSql: ((value: unknown) => unknown) | undefined;
}

/** Statements of one connection, by what they say, and columns of its tables, by table. */
interface Prepared {
  readonly statements: Map<string, Statement>;
  readonly columns: Map<string, ReadonlyMap<string, Column>>;
}
/** Types whose values are what SQLite gives. */
const AS_STORED = new Set(['text', 'integer', 'real']);
const PREPARED = new WeakMap<DataSource, Prepared>();

function preparedFor(source: DataSource): Prepared {
  const known = PREPARED.get(source) ?? { statements: new Map(), columns: new Map() };
  PREPARED.set(source, known);
  return known;
}

function columnsOf(source: DataSource, { options: { name } }: EntitySchema): ReadonlyMap<string, Column> {
  const { columns } = preparedFor(source);
  const known = columns.get(name);
  if (known) return known;
  const { driver } = source;
  const made = new Map(
    source.getMetadata(name).columns.map((column): [string, Column] => [
      column.propertyName,
      {
        name: `"${column.databaseName}"`,
        toSql: (value): unknown => driver.preparePersistentValue(value, column) ?? null,
        fromSql:
          column.transformer || !AS_STORED.has(String(column.type))
            ? (value): unknown => driver.prepareHydratedValue(value, column)
            : undefined,
      },
    ]),
  );
  columns.set(name, made);
  return made;
}

/**
 * Rows by statements that are prepared once for a connection: what is read or written at every write. The object mapper
 * builds its SQL anew each time, which takes longer than SQLite takes to answer it. Columns, and how their values are
 * stored, are those of the mapper's entities; whatever is asked seldom, or in another way than "these columns have these
 * values", stays with the mapper.
 */
export function rowsBy(manager: EntityManager) {
  const source = manager.dataSource;
  const { statements } = preparedFor(source);
  const statement = (sql: string): Statement => {
    const known = statements.get(sql) ?? connectionOf(source).prepare(sql);
    statements.set(sql, known);
    return known;
  };
  /** Columns by name with their values. @throws Error for one that the table does not have */
  const told = (columns: ReadonlyMap<string, Column>, row: object) =>
    Object.entries(row)
      .filter(([, value]) => value !== undefined)
      .map(([key, value]) => {
        const column = columns.get(key);
        if (!column) throw new Error(`There is no column "${key}".`);
        return { column, value: column.toSql(value) };
      });
  const whereOf = (columns: ReadonlyMap<string, Column>, where: object) => {
    // Whatever is asked for by a value that nobody has would be every row.
    const none = Object.entries(where).find(([, value]) => value === undefined);
    if (none) throw new Error(`Rows are asked for by "${none[0]}", of which no value is given.`);
    const all = told(columns, where);
    const sql = all.map(({ column, value }) => `${column.name} ${value === null ? 'IS NULL' : '= ?'}`).join(' AND ');
    return {
      sql: sql === '' ? '' : ` WHERE ${sql}`,
      values: all.flatMap(({ value }) => (value === null ? [] : [value])),
    };
  };

  return {
    /** All rows with these values. @param by the column that they are put in order by, ascending */
    find<R extends object>(entity: EntitySchema<R>, where: Where<R>, by?: keyof R & string): R[] {
      const columns = columnsOf(source, entity);
      const { sql, values } = whereOf(columns, where);
      const order = by === undefined ? '' : ` ORDER BY ${columns.get(by)?.name ?? ''}`;
      const names = [...columns.values()].map(({ name }) => name).join(', ');
      const rows = statement(`SELECT ${names} FROM "${entity.options.name}"${sql}${order}`)
        .raw()
        .all(...values) as unknown[][];
      const all = [...columns];
      return rows.map((row) => {
        const made: Record<string, unknown> = {};
        for (const [at, [key, { fromSql }]] of all.entries()) made[key] = fromSql ? fromSql(row[at]) : row[at];
        return made as R;
      });
    },
    /** The row with these values, which name one. */
    one<R extends object>(entity: EntitySchema<R>, where: Where<R>): R | undefined {
      return this.find(entity, where)[0];
    },
    /** One value of the row with these values, which name one. */
    value<R extends object, K extends keyof R & string>(
      entity: EntitySchema<R>,
      column: K,
      where: Where<R>,
    ): R[K] | undefined {
      const columns = columnsOf(source, entity);
      const { sql, values } = whereOf(columns, where);
      const { name = '', fromSql = (read: unknown): unknown => read } = columns.get(column) ?? {};
      const row = statement(`SELECT ${name} FROM "${entity.options.name}"${sql}`)
        .raw()
        .get(...values) as [unknown] | undefined;
      return row && (fromSql(row[0]) as R[K]);
    },
    /** How many rows have these values. */
    count<R extends object>(entity: EntitySchema<R>, where: Where<R>): number {
      const { sql, values } = whereOf(columnsOf(source, entity), where);
      return statement(`SELECT COUNT(*) FROM "${entity.options.name}"${sql}`)
        .pluck()
        .get(...values) as number;
    },
    /** Whether there is a row with these values. */
    has<R extends object>(entity: EntitySchema<R>, where: Where<R>): boolean {
      const { sql, values } = whereOf(columnsOf(source, entity), where);
      return statement(`SELECT 1 FROM "${entity.options.name}"${sql} LIMIT 1`).get(...values) !== undefined;
    },
    /** Adds a row; a column that is not named has its default. */
    insert<R extends object>(entity: EntitySchema<R>, row: Partial<R>): void {
      const all = told(columnsOf(source, entity), row);
      const names = all.map(({ column }) => column.name).join(', ');
      const marks = all.map(() => '?').join(', ');
      statement(`INSERT INTO "${entity.options.name}" (${names}) VALUES (${marks})`).run(
        ...all.map(({ value }) => value),
      );
    },
    /** Changes the rows with these values. */
    update<R extends object>(entity: EntitySchema<R>, where: Where<R>, changed: Partial<R>): void {
      const columns = columnsOf(source, entity);
      const all = told(columns, changed);
      const { sql, values } = whereOf(columns, where);
      const names = all.map(({ column }) => `${column.name} = ?`).join(', ');
      statement(`UPDATE "${entity.options.name}" SET ${names}${sql}`).run(...all.map(({ value }) => value), ...values);
    },
  };
}

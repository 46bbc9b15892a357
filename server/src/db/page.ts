import type { EntityManager, ObjectLiteral, SelectQueryBuilder } from 'typeorm';
import type { Page, PageAsked } from '@mendum/core/operations';
import { AppError } from '../errors.ts';

/** Lines that a list gives at once where nobody says how many. */
const USUAL = 50;

/** Folds letters of every script, so that "ÜBERGANG" is found by "übergang"; known to the database as `fold`. */
export const fold = (text: unknown): string => (typeof text === 'string' ? text : '').toLowerCase();

/** What a list is ordered by, a row's own id last: no two rows stand at one place. */
export interface Order {
  readonly by: readonly string[];
  readonly descends?: boolean;
}

const packed = (place: readonly unknown[]): string => Buffer.from(JSON.stringify(place)).toString('base64url');

/** The place at which a page begins. @throws AppError BAD_INPUT on a cursor that no page gave */
function placeOf(cursor: string, length: number): readonly (string | number)[] {
  let place: unknown;
  try {
    place = JSON.parse(Buffer.from(cursor, 'base64url').toString());
  } catch {
    place = undefined;
  }
  if (
    !Array.isArray(place) ||
    place.length !== length ||
    !place.every((one) => typeof one === 'string' || typeof one === 'number')
  )
    throw new AppError('BAD_INPUT', `The cursor "${cursor}" is none that a page of this list gave.`, {
      field: '/cursor',
      hint: 'Send the "next" of the page before, or begin without one.',
    });
  return place;
}

/** Only rows in whose text every word is, wherever in it and however written. */
export function havingWords<T extends ObjectLiteral>(
  query: SelectQueryBuilder<T>,
  text: string,
  search = '',
): SelectQueryBuilder<T> {
  const words = fold(search)
    .split(/\s+/)
    .filter((word) => word !== '');
  return words.reduce(
    (found, word, index) => found.andWhere(`instr(${text}, :word${index}) > 0`, { [`word${index}`]: word }),
    query,
  );
}

/**
 * One page of what a query finds, in an order, from where the page before ended: however far down, it takes as long.
 * @param placeIn what a row is ordered by, as the order names it
 */
export async function pageOf<Row extends ObjectLiteral, T>(
  query: SelectQueryBuilder<Row>,
  { by, descends = false }: Order,
  { cursor, limit = USUAL }: PageAsked,
  placeIn: (row: Row) => readonly (string | number)[],
  give: (rows: readonly Row[]) => Promise<readonly T[]>,
): Promise<Page<T>> {
  const total = await query.getCount();
  if (cursor !== undefined) {
    const place = placeOf(cursor, by.length);
    const names = place.map((_one, index) => `:place${index}`).join(', ');
    query.andWhere(
      `(${by.join(', ')}) ${descends ? '<' : '>'} (${names})`,
      Object.fromEntries(place.map((one, index) => [`place${index}`, one])),
    );
  }
  for (const column of by) query.addOrderBy(column, descends ? 'DESC' : 'ASC');
  const rows = await query.limit(limit + 1).getMany();
  const shown = rows.slice(0, limit);
  const last = rows.length > limit ? shown.at(-1) : undefined;
  return { items: await give(shown), total, ...(last ? { next: packed(placeIn(last)) } : {}) };
}

/** How many rows of a table there are for each of some ids. */
export async function countFor(
  manager: EntityManager,
  table: string,
  column: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  if (ids.length === 0) return new Map();
  const rows = await manager
    .createQueryBuilder()
    .select(`thing.${column}`, 'id')
    .addSelect('COUNT(*)', 'count')
    .from(table, 'thing')
    .where(`thing.${column} IN (:...ids)`, { ids })
    .groupBy(`thing.${column}`)
    .getRawMany<{ id: string; count: number }>();
  return new Map(rows.map(({ id, count }) => [id, count]));
}

import type { KeyObject } from 'node:crypto';
import { EMPTY, type Head } from './head.ts';
import { hashOf, isSignedBy, type Content } from './link.ts';

/** A row of the chain as it is stored: its content still as text where it is JSON. */
export interface StoredRow {
  readonly chainRow: number;
  readonly hash: string;
  readonly signature: string | null;
  readonly kind: Content['kind'];
  readonly fields: Readonly<Record<string, unknown>>;
}

/** The rows of a chain from one on, in order, so many at most. */
export type RowsFrom = (row: number, most: number) => Promise<readonly StoredRow[]> | readonly StoredRow[];

/** What a walk along the chain found. */
export interface Walked {
  /** The last row up to which it holds. */
  readonly whole: Head;
  /** Rows whose signature holds, where a key was given. */
  readonly signed: number;
  /** The first row that does not hold, and why. */
  readonly broken?: { readonly row: number; readonly why: string };
}

const PAGE = 500;
const JSON_FIELD = { record: 'body', audit: 'detail' } as const;

/** A row's content as it was hashed; nothing where its JSON cannot be read. */
function contentOf({ kind, fields }: StoredRow): Content | undefined {
  const name = JSON_FIELD[kind];
  try {
    const json = fields[name];
    const content = { ...fields, [name]: typeof json === 'string' ? (JSON.parse(json) as unknown) : json };
    return { kind, content } as unknown as Content;
  } catch {
    return undefined;
  }
}

function whyNot(stored: StoredRow, before: Head, key: KeyObject | undefined): string | undefined {
  const { chainRow, hash, signature } = stored;
  if (chainRow !== before.row + 1) return `row ${before.row + 1} is missing`;
  const content = contentOf(stored);
  if (!content || hashOf(chainRow, before.hash, content) !== hash)
    return 'its content, or a row before it, is not what was written';
  if (key && (signature === null || !isSignedBy(key, hash, signature)))
    return signature === null ? 'it is not signed' : 'its signature is of another key';
  return undefined;
}

/**
 * Walks a chain from its first row, and stops at the first that does not hold.
 * @param head the last row, as it was written down beside the chain
 * @param key public: every row must be signed with the one that belongs to it, from the first that is signed on; where
 *   none is, none holds, or whoever takes all signatures off would not be found
 */
export async function walk(rowsFrom: RowsFrom, head: Head, key?: KeyObject): Promise<Walked> {
  let whole = EMPTY;
  let signed = 0;
  // What was put in before the first row is found as well.
  let from = Number.MIN_SAFE_INTEGER;
  for (;;) {
    const rows = await rowsFrom(from, PAGE);
    for (const row of rows) {
      const unsigned = signed === 0 && row.signature === null;
      const why = whyNot(row, whole, unsigned ? undefined : key);
      if (why !== undefined) return { whole, signed, broken: { row: whole.row + 1, why } };
      whole = { row: row.chainRow, hash: row.hash };
      if (key && !unsigned) signed += 1;
    }
    if (rows.length < PAGE) break;
    from = whole.row + 1;
  }
  if (key && signed === 0) return { whole: EMPTY, signed, broken: { row: 1, why: 'no row is signed with this key' } };
  if (whole.row === head.row && whole.hash === head.hash) return { whole, signed };
  const why =
    head.row > whole.row ? `rows ${whole.row + 1} to ${head.row} are missing` : 'more rows follow than were written';
  return { whole, signed, broken: { row: Math.min(head.row, whole.row) + 1, why } };
}

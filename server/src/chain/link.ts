import { hash, sign, verify, type KeyObject } from 'node:crypto';
import canonicalize from 'canonicalize';
import type { AuditRow, InChain, RecordRow } from '../db/rows.ts';

/** A record, or a line of the audit log, without its place in the chain. */
export type RecordContent = Omit<RecordRow, keyof InChain>;
export type AuditContent = Omit<AuditRow, keyof InChain | 'id'>;

/** What a row of the chain says, by the table that it stands in. */
export type Content =
  | { readonly kind: 'record'; readonly content: RecordContent }
  | { readonly kind: 'audit'; readonly content: AuditContent };

/** What the first row has before it. */
export const NOTHING_BEFORE = '0'.repeat(64);

/** Half a surrogate pair, as JSON writes it; one after an odd number of backslashes is no text that only looks like it. */
const HALF_PAIR = /(?<!\\)((?:\\\\)*)\\ud[89a-f][0-9a-f]{2}/g;
/**
 * A row without what cannot be written and read again as it was: canonical JSON has no letter for half a surrogate pair,
 * and text in UTF-8 has others. It is stored as it is hashed.
 */
export const storable = <C extends object>(content: C): C =>
  JSON.parse(JSON.stringify(content).replaceAll(HALF_PAIR, '$1\ufffd')) as C;

/**
 * The hash that holds a row in its place: SHA-256, in hex, over the canonical JSON (RFC 8785) of its number, the hash of
 * the row before, the table, and all of its content.
 */
export function hashOf(row: number, before: string, { kind, content }: Content): string {
  const text = canonicalize({ row, before, kind, content: storable(content) });
  return hash('sha256', text ?? '');
}

/** Signs the hash of a row. @param key private, Ed25519 */
export const signatureBy = (key: KeyObject, hash: string): string =>
  sign(null, Buffer.from(hash, 'hex'), key).toString('base64');

/** Whether the signature of a hash was made with the key that belongs to this one. @param key public, Ed25519 */
export const isSignedBy = (key: KeyObject, hash: string, signature: string): boolean =>
  verify(null, Buffer.from(hash, 'hex'), key, Buffer.from(signature, 'base64'));

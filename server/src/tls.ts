import { readFileSync } from 'node:fs';
import { createSecureContext } from 'node:tls';
import type { Config } from './config.ts';

/** What the server speaks TLS by. */
export interface Tls {
  readonly cert: Buffer;
  readonly key: Buffer;
}

/**
 * Reads the certificate and its key; nothing where none is named.
 * @throws Error in a sentence, where a file cannot be read or they do not belong together
 */
export function tlsOf({ tls }: Pick<Config, 'tls'>): Tls | undefined {
  if (!tls) return undefined;
  const read = (variable: string, file: string): Buffer => {
    try {
      return readFileSync(file);
    } catch {
      throw new Error(`${variable} names ${file}, which cannot be read. Correct or unset it.`);
    }
  };
  const pair = { cert: read('MENDUM_TLS_CERT', tls.cert), key: read('MENDUM_TLS_KEY', tls.key) };
  try {
    createSecureContext(pair);
  } catch {
    throw new Error(
      `${tls.cert} and ${tls.key} are no certificate with its key (PEM), or belong to different ones. Correct or unset both.`,
    );
  }
  return pair;
}

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Draws } from './http/pages.ts';

/** What draws pages, where it was built beside the server; not while both reload as files are saved. */
export async function drawsOf(builtDir: string): Promise<Draws | undefined> {
  const file = join(builtDir, 'firstPage.js');
  return existsSync(file) ? ((await import(pathToFileURL(file).href)) as Draws) : undefined;
}

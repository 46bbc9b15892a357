import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { FirstPage } from './http/pages.ts';

/** What draws the first page, where it was built beside the server; not while both reload as files are saved. */
export async function firstPageOf(builtDir: string): Promise<FirstPage['draw'] | undefined> {
  const file = join(builtDir, 'firstPage.js');
  if (!existsSync(file)) return undefined;
  const { drawFirstPage } = (await import(pathToFileURL(file).href)) as { readonly drawFirstPage: FirstPage['draw'] };
  return drawFirstPage;
}

import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it, test } from 'vitest';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../../..');
const SHIPS = ['core/src', 'web/src', 'server/src'];
const DOCUMENTS = ['README.md', 'CONTRIBUTING.md', 'docs/architecture.md', 'docs/formats'];
const isShipped = (path: string): boolean =>
  /\.(tsx?|md)$/.test(path) && !/\.test\.tsx?$/.test(path) && !path.includes('/test/');

function filesIn(folder: string): readonly string[] {
  if (folder.endsWith('.md')) return [folder];
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : isShipped(path) ? [path] : [];
  });
}

/** What people read: text in quotes and between tags, without comments. */
const saidIn = (source: string): string => source.replace(/\/\*[\s\S]*?\*\//g, '').replace(/^\s*\/\/.*$/gm, '');

const glossary = readFileSync(join(ROOT, 'docs/glossary.md'), 'utf8');
const RETIRED = glossary
  .slice(glossary.indexOf('## Retired'))
  .split('\n')
  .flatMap((line) => /^\| (?!not \||---)(.+?) \| .+ \|$/.exec(line)?.[1]?.trim() ?? [])
  .filter((words) => !/^-+$/.test(words) && words !== 'not');
const FILES = [...SHIPS, ...DOCUMENTS]
  .flatMap((folder) => filesIn(join(ROOT, folder)))
  .map((path) => ({
    path: relative(ROOT, path),
    said: saidIn(readFileSync(path, 'utf8')),
  }));
describe('retired words are said to nobody', () => {
  it('the glossary has its table, and there is something to read', () => {
    expect(RETIRED.length).toBeGreaterThan(15);
    expect(FILES.length).toBeGreaterThan(300);
  });
  test.each(RETIRED.map((words) => [words] as const))('%s', (words) => {
    const found = FILES.filter(({ said }) => said.includes(words));
    expect(found.map(({ path }) => path)).toEqual([]);
  });
});

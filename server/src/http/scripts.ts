import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { StageName } from '@mendum/core/operations';

/** What the build says of each of its files, by the source that it was made from. */
export type Manifest = Readonly<Record<string, { readonly file: string; readonly imports?: readonly string[] }>>;

const PAGE = 'src/stages/JobPage.tsx';
const SCREEN: Readonly<Record<StageName, string>> = {
  survey: 'src/stages/survey/SurveyStage.tsx',
  decide: 'src/stages/decide/DecideStage.tsx',
  layout: 'src/stages/layout/LayoutStage.tsx',
  bench: 'src/stages/bench/BenchStage.tsx',
  prove: 'src/stages/prove/ProveStage.tsx',
  record: 'src/stages/record/RecordStage.tsx',
};

/** The manifest of a built interface; empty where there is none. */
export function manifestOf(webDir: string): Manifest {
  const file = join(webDir, '.vite/manifest.json');
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Manifest) : {};
}

/** Files of some sources with all that they import, each once; a source that was not built has none. */
function filesOf(manifest: Manifest, sources: readonly string[]): string[] {
  const files = new Set<string>();
  const add = (source: string): void => {
    const built = manifest[source];
    if (!built || files.has(built.file)) return;
    files.add(built.file);
    built.imports?.forEach(add);
  };
  sources.forEach(add);
  return [...files];
}

/**
 * The scripts of a job's page and its stage, to be fetched while the first script is still under way.
 * @param stage of the address; any other word has the page alone
 * @returns what stands in the head of the page, without what stands there already
 */
export function jobScripts(manifest: Manifest, stage: string | undefined): string {
  const screen = stage !== undefined && Object.hasOwn(SCREEN, stage) ? [SCREEN[stage as StageName]] : [];
  const first = new Set(filesOf(manifest, ['index.html']));
  return filesOf(manifest, [PAGE, ...screen])
    .filter((file) => !first.has(file))
    .map((file) => `<link rel="modulepreload" fetchpriority="low" crossorigin href="/${file}">`)
    .join('');
}

import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it, test } from 'vitest';
import { jobScripts, manifestOf, type Manifest } from './scripts.ts';

const web = join(import.meta.dirname, '../../../web');
/** Every script of the interface, as if each had been built by itself. */
const ALL: Manifest = Object.fromEntries(
  readdirSync(join(web, 'src/stages'), { recursive: true, encoding: 'utf8' })
    .map((file) => `src/stages/${file}`)
    .map((source) => [source, { file: `assets/${source}.js` }]),
);
const named = (manifest: Manifest, stage?: string): string[] =>
  [...jobScripts(manifest, stage).matchAll(/href="([^"]+)"/g)].map(([, file]) => file ?? '');

describe('the scripts of a job’s page are named in its head', () => {
  test.each([
    ['survey', 'survey/SurveyStage'],
    ['decide', 'decide/DecideStage'],
    ['layout', 'layout/LayoutStage'],
    ['bench', 'bench/BenchStage'],
    ['prove', 'prove/ProveStage'],
    ['record', 'record/RecordStage'],
  ])('%s: the page, and the screen where it really is', (stage, screen) =>
    expect(named(ALL, stage)).toEqual(['/assets/src/stages/JobPage.tsx.js', `/assets/src/stages/${screen}.tsx.js`]),
  );
  test.each([undefined, 'constructor', 'shelf'])('%s is no stage: the page alone', (stage) =>
    expect(named(ALL, stage)).toEqual(['/assets/src/stages/JobPage.tsx.js']),
  );
  it('what is imported comes with it, each once, and what stands in the head already does not', () => {
    const page = 'src/stages/JobPage.tsx';
    const manifest = {
      'index.html': { file: 'first.js' },
      [page]: { file: 'page.js', imports: ['index.html', '_a'] },
      _a: { file: 'a.js', imports: ['_b', page] },
      _b: { file: 'b.js', imports: ['_a'] },
    };
    expect(named(manifest)).toEqual(['/page.js', '/a.js', '/b.js']);
  });
  it('nothing that was built names nothing', () => {
    expect(manifestOf(join(web, 'nowhere'))).toEqual({});
    expect(named({}, 'decide')).toEqual([]);
  });
});

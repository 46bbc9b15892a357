import { performance } from 'node:perf_hooks';
import { optimise, QUICK, quickLayout } from '@mendum/core/layout';
import { CROWDED } from '../core/src/layout/test/crowdedRuns.ts';

/**
 * Runs with many splices: the first layout, the searched one and what bounds it. Arguments: how many splices, the runs
 * and kinds to look at, all where none are named.
 */
const [sizes = '60,150,300', runs = '', kinds = 'wide,even,short', limit = '60'] = process.argv.slice(2);
const percent = (reached: number, bound: number): string =>
  reached <= bound + 0.5 ? 'met' : `+${((reached / bound - 1) * 100).toFixed(0)} %`;
const megabytes = (): string => (process.memoryUsage().rss / 1e6).toFixed(0);

for (const splices of sizes.split(',').map(Number))
  for (const [name, make] of Object.entries(CROWDED).filter(([one]) => one.includes(runs)))
    for (const kind of ['wide', 'even', 'short'] as const) {
      if (!kinds.includes(kind)) continue;
      const run = { ...make(splices), kind };
      let start = performance.now();
      const first = quickLayout(run);
      const firstMs = performance.now() - start;
      start = performance.now();
      const latest = start + Number(limit) * 1000;
      const { objective, bound, open } = optimise(run, { ...QUICK, goesOn: () => performance.now() < latest });
      const took = (performance.now() - start) / 1000;
      const levels = (['openedMm', 'insertedMm'] as const).map(
        (level) =>
          `${level} ${objective[level].toFixed(0)} of ${bound[level].toFixed(0)} (${percent(objective[level], bound[level])})`,
      );
      const counted = (['over', 'pairs', 'splices', 'clearMm'] as const).map(
        (level) =>
          `${level} ${objective[level].toFixed(level === 'clearMm' ? 1 : 0)}/${bound[level].toFixed(level === 'clearMm' ? 1 : 0)}`,
      );
      console.log(
        `${splices} splices, ${name}, ${kind}: first ${firstMs.toFixed(0)} ms${first.objective.barred > 0 ? ' (not legal)' : ''}, searched ${took.toFixed(2)} s, open ${open ?? 'none'}${objective.barred > 0 ? ', NOT LEGAL' : ''}; ${levels.join(', ')}; ${counted.join(' ')}; ${megabytes()} MB`,
      );
    }

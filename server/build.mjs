import { rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

// npm run build -w server: the server, the thread that plans, and what draws the first page, bundled with the core; packages stay where they are installed.
const here = (path) => fileURLToPath(new URL(path, import.meta.url));
rmSync(here('dist'), { recursive: true, force: true });
await build({
  entryPoints: {
    main: here('src/main.ts'),
    worker: here('src/planning/worker.ts'),
    backup: here('src/cli/backup.ts'),
    firstPage: here('../web/src/firstPage.tsx'),
  },
  outdir: here('dist'),
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  jsx: 'automatic',
  sourcemap: true,
  logLevel: 'warning',
  alias: {
    // Its subjects are folders; what checks is a subject of its own.
    '@mendum/core/schemas': here('../core/src/interchange/schemas.ts'),
    '@mendum/core': here('../core/src'),
  },
});

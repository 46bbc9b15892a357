import { spawn } from 'node:child_process';
import { buildAll, ensurePackages, root } from './setup.mjs';

// npm run demo: installs what is missing, builds, seeds an empty database, and serves everything on one port.
ensurePackages();
buildAll();
const server = spawn(
  process.execPath,
  ['--enable-source-maps', 'server/dist/main.js', '--demo', '--history', ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, NODE_ENV: 'production' },
  },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));

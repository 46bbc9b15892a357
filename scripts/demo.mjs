import { spawn } from 'node:child_process';
import { buildInterface, ensurePackages, root } from './setup.mjs';

// npm run demo: installs what is missing, builds, seeds an empty database, and serves everything on one port.
ensurePackages();
buildInterface();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', '--demo', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));

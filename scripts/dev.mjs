import { ensurePackages, root } from './setup.mjs';

// npm run dev: server and interface, both reloading as files are saved. The interface asks the server on port 4600.
ensurePackages();
const { default: concurrently } = await import('concurrently');
const { result } = concurrently(
  [
    { name: 'server', command: 'npx tsx watch server/src/main.ts --demo' },
    { name: 'interface', command: 'npm run -s dev -w web' },
  ],
  { cwd: root, killOthersOn: ['success', 'failure'] },
);
await result.catch(() => process.exit(1));

import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

/** What both commands need: the right Node, the packages, and for tests Debian's Chromium. Plain Node only, since nothing is installed yet. */
export const root = resolve(import.meta.dirname, '..');
const LEAST_NODE = [20, 19];

const isRoot = () => process.getuid?.() === 0;
const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;

function stop(message) {
  console.error(`\n${message}\n`);
  process.exit(1);
}

/** Runs a command in the project's folder, its output shown; true when it went well. */
export function run(command, args, env = {}) {
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

/** The same beside other work: what it printed comes when it has ended. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (printed += text));
    child.on('error', (error) => resolve({ well: false, printed: `${printed}${error.message}\n` }));
    child.on('close', (code) => resolve({ well: code === 0, printed }));
  });
}

function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]))
    stop(`Node ${process.versions.node} is too old: Mendum needs ${LEAST_NODE.join('.')} or newer.`);
}

function installDebian(packages, why) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (!has('apt-get'))
    stop(`${why}: ${packages.join(', ')}. Install them with this machine's package manager and start again.`);
  if (!isRoot()) stop(`${why}. Run this one command and start again:\n\n  sudo ${command}`);
  console.log(`Installing ${packages.join(', ')} from Debian…`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-q'], env);
  if (!run('sh', ['-c', command], env)) stop(`${packages.join(', ')} could not be installed.`);
}

/** The SQLite driver is built here where no ready-made one can be had; that takes a compiler. */
function ensureCompiler() {
  const missing = [
    ['python3', 'python3'],
    ['make', 'make'],
    ['g++', 'g++'],
  ]
    .filter(([command]) => !has(command))
    .map(([, name]) => name);
  if (missing.length > 0) installDebian(missing, 'Building the SQLite driver needs a compiler');
}

/** Node's own headers, where they came with it, so that building the driver fetches nothing. */
function headersBesideNode() {
  const prefix = dirname(dirname(process.execPath));
  return existsSync(join(prefix, 'include/node/node.h')) ? { npm_config_nodedir: prefix } : {};
}

/** Installs the packages of the lock file when they are not there or the lock has changed. */
export function ensurePackages() {
  checkNode();
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const mark = join(root, 'node_modules/.mendum-installed');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  ensureCompiler();
  console.log('Installing packages; the first time this takes a few minutes…');
  if (!run('npm', ['ci', '--include=dev'], { ...headersBesideNode(), JOBS: 'max' }))
    stop('The packages could not be installed: see npm’s words above.');
  writeFileSync(mark, lock);
}

/** Debian's Chromium, for the browser tests. */
export function ensureChromium() {
  if (!existsSync('/usr/bin/chromium')) installDebian(['chromium'], 'The browser tests need Debian’s Chromium');
}

/** Builds interface and server. */
export function buildAll() {
  if (!run('npm', ['run', '-s', 'build'])) stop('Interface and server could not be built.');
}

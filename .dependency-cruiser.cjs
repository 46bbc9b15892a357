/** Imports go down only: web and server to core; a room of the core to the rooms before it; never core to the outside. */
const ROOMS = [
  'units',
  'wire',
  'connector',
  'harness',
  'pinout',
  'mapping',
  'damage',
  'survey',
  'stock',
  'practice',
  'bundle',
  'sizing',
  'recognise',
  'prove',
  'step',
  'family',
  'terminal',
  'catalogue',
  'method',
  'approach',
  'layout',
  'job',
  'quick',
  'kit',
  'bench',
  'plan',
  'mishap',
  'record',
  'comeback',
  'label',
  'shop',
  'operations',
  'interchange',
  'spreadsheet',
];

/** Tests and what they share. */
const OF_TESTS = '\\.test\\.ts$|/test/';

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stays-pure', severity: 'error', from: { path: '^core/src' }, to: { path: '^(server|web|e2e)/' } },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^core/src', pathNot: OF_TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'joi-only-at-the-door',
      severity: 'error',
      from: { path: '^core/src/(?!interchange)' },
      to: { path: 'node_modules/joi' },
    },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    ...ROOMS.map((room, index) => ({
      name: `${room}-looks-down-only`,
      severity: 'error',
      from: { path: `^core/src/${room}/`, pathNot: OF_TESTS },
      to: { path: `^core/src/(${ROOMS.slice(index + 1).join('|') || '(?!)'})/` },
    })),
    ...ROOMS.map((room) => ({
      name: `${room}-by-its-index`,
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: [`^core/src/${room}/`, OF_TESTS] },
      to: { path: `^core/src/${room}/`, pathNot: `^core/src/${room}/index\\.ts$` },
    })),
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json'], exportsFields: ['exports'] },
  },
};

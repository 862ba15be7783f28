/** The floors and rooms of docs/architecture.md, as rules that fail the build. */
const floorsAbove = {
  core: '^(contract|server|web|e2e|demo|bench)/',
  contract: '^(server|web|e2e|demo|bench)/',
  server: '^(web|e2e|demo|bench)/',
  web: '^(server|e2e|demo|bench)/',
};

/** Rooms of the core, from the ground up: a room imports only rooms to its left. */
const rooms = [
  'units',
  'calendar',
  'solving',
  'place',
  'crops',
  'ground',
  'soil',
  'water',
  'season',
  'crew',
  'work',
  'log',
  'harvest',
];

module.exports = {
  forbidden: [
    ...Object.entries(floorsAbove).map(([floor, above]) => ({
      name: `${floor}-imports-nothing-above-it`,
      severity: 'error',
      from: { path: `^${floor}/` },
      to: { path: above },
    })),
    ...rooms.slice(0, -1).map((room, i) => ({
      name: `core-${room}-imports-no-later-room`,
      severity: 'error',
      from: { path: `^core/src/${room}/` },
      to: { path: `^core/src/(${rooms.slice(i + 1).join('|')})/` },
    })),
    {
      name: 'core-rooms-meet-at-their-index',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '/index\\.ts$'] },
    },
    {
      name: 'server-rooms-meet-at-their-index-or-rows',
      comment:
        'Another room may use what a room offers (index), its rows (entity), and who is calling (crew/caller).',
      severity: 'error',
      from: {
        path: '^server/src/(place|crops|ground|crew|season|work|log|harvest)/',
        pathNot: '\\.test\\.ts$',
      },
      to: {
        path: '^server/src/(place|crops|ground|crew|season|work|log|harvest)/',
        pathNot: ['^server/src/$1/', '/(index|entity|caller)\\.ts$'],
      },
    },
    {
      name: 'core-is-pure',
      comment:
        'No I/O, no interface, no randomness: only dates, a hash for public draws, and Zod where data files are checked.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: 'node_modules/(zod|temporal-polyfill|@noble/hashes)/',
      },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json', '.css'],
    },
  },
};

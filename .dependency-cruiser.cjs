const { existsSync, readdirSync } = require('node:fs');

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
  'maths',
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

/** Rooms of the web, from what all need up to what puts them together: a room imports only rooms before it. */
const webRooms = [
  'words',
  'kit',
  'garden',
  'crops',
  'place',
  'season',
  'harvest',
  'log',
  'ground',
  'crew',
  'work',
  'shell',
];

const foldersIn = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .filter((one) => one.isDirectory())
    .map((one) => `${folder}/${one.name}`);

/** Folders of a floor's rooms, each with a face of its own through which it is reached. */
const subRooms = (floor) => foldersIn(floor).flatMap(foldersIn);

/** Folders of sub-rooms that have a face. */
const innerRooms = (floor) =>
  subRooms(floor)
    .flatMap(foldersIn)
    .filter((folder) => existsSync(`${folder}/index.ts`));

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
    ...webRooms.slice(0, -1).map((room, i) => ({
      name: `web-${room}-imports-no-later-room`,
      severity: 'error',
      // Words are gathered from where they are used; tests may use anything.
      from: { path: `^web/src/${room}/`, pathNot: '\\.test\\.tsx?$|^web/src/words/(all|en|es|late)\\.ts$' },
      to: { path: `^web/src/(${webRooms.slice(i + 1).join('|')})/` },
    })),
    // A screen is fetched by its address, and the shell fetches late what few want: these alone reach for a file.
    ...subRooms('web/src').map((room) => ({
      name: `${room.slice(4)}-has-a-face`,
      severity: 'error',
      from: { path: '^web/src/', pathNot: `^${room}/|^web/src/words/|^web/src/shell/` },
      to: { path: `^${room}/`, pathNot: '/index[.]ts$|[.]json$' },
    })),
    {
      name: 'web-garden-has-a-face',
      severity: 'error',
      from: { path: '^web/src/', pathNot: '^web/src/garden/' },
      to: { path: '^web/src/garden/', pathNot: '/index[.]ts$' },
    },
    // Tests look at a file by itself.
    ...[...subRooms('core/src'), ...innerRooms('core/src')].map((room) => ({
      name: `${room}-has-a-face`,
      severity: 'error',
      from: { path: '^core/src/', pathNot: `^${room}/|[.]test[.]ts$|/testing|/regions/` },
      to: { path: `^${room}/`, pathNot: '/index[.]ts$|[.]json$' },
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

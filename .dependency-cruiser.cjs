/** The rooms of the code, and the one direction between them. */
const between = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

/** The rooms of the core: each imports only from those before it. Tests may look anywhere. */
const ROOMS = [
  'chance',
  'check',
  'solver',
  'cards',
  'words',
  'people',
  'paper',
  'materials',
  'games/kit',
  'games/(?!kit/|shelf/)[^/]+',
  'games/shelf',
  'own',
  'kits',
  'pack',
  'lending',
  'listening',
  'looking',
  'rehearse',
  'evening',
  'year',
  'figures',
];
const NO_TEST = '\\.(test|testing)\\.tsx?$|/testing\\.ts$';
const layered = ROOMS.slice(0, -1).map((room, i) => ({
  name: `core-${room.replace(/\(.*/, 'each')}-imports-only-rooms-before-it`,
  severity: 'error',
  from: { path: `^core/${room}/`, pathNot: NO_TEST },
  to: { path: `^core/(${ROOMS.slice(i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    between('core-imports-no-other-room', '^core/', '^(data|server|app|tests|scripts)/'),
    between(
      'core-knows-no-interface-database-or-node',
      '^core/(?!.*\\.test\\.ts$)',
      '(^node:)|node_modules/(react|react-dom|react-router|styled-components|react-aria-components|drizzle-orm|pg|pdfkit|fontkit|express)/',
    ),
    {
      name: 'core-uses-no-node-builtin',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    ...layered,
    {
      name: 'core-has-no-other-rooms',
      severity: 'error',
      from: {},
      to: { path: '^core/', pathNot: `^core/(${ROOMS.join('|')})/` },
    },
    between('data-imports-core-only', '^data/', '^(server|app|tests|scripts)/'),
    between('server-imports-core-and-data', '^server/', '^(app|tests|scripts)/'),
    between('components-import-core-and-ui', '^app/(ui|game|desk)/', '^(data|server|scripts|tests)/'),
    between('components-know-no-route', '^app/(ui|game|desk)/', '^app/routes/'),
    between('controls-know-no-game-and-no-desk', '^app/ui/(?!.*\\.test\\.tsx$)', '^app/(game|desk)/'),
    between('pictures-of-a-game-know-no-desk', '^app/game/(?!.*\\.test\\.tsx$)', '^app/desk/'),
    {
      name: 'a-game-knows-no-other-game',
      severity: 'error',
      from: { path: '^core/games/((?!kit/|shelf/)[^/]+)/' },
      to: { path: '^core/games/(?!kit/|shelf/)[^/]+/', pathNot: '^core/games/$1/' },
    },
    {
      name: 'only-the-shelf-knows-games',
      severity: 'error',
      from: {
        path: '^(core|app|server|data)/',
        pathNot: '^core/games/(shelf/games\\.ts|(?!kit/|shelf/)[^/]+/)|\\.test\\.ts$',
      },
      to: { path: '^core/games/(?!kit/|shelf/)[^/]+/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(build|\\.react-router|\\.data)/|/\\+types/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
  },
};

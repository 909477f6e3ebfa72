/** The rooms of the code and the one direction between them. */
const between = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

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
    between('data-imports-core-only', '^data/', '^(server|app|tests|scripts)/'),
    between('server-imports-core-and-data', '^server/', '^(app|tests|scripts)/'),
    between('components-import-core-and-ui', '^app/ui/', '^(data|server|scripts|tests)/'),
    between('components-know-no-route', '^app/ui/', '^app/routes/'),
    {
      name: 'only-the-shelf-knows-games',
      severity: 'error',
      from: { path: '^(core|app|server|data)/', pathNot: '^core/games/(index\\.ts|[a-z-]+/)|\\.test\\.ts$' },
      to: { path: '^core/games/[a-z-]+/' },
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

// The house of docs/architecture.md as rules: arrows go down only, core is closed, each core folder shows one face.

/** Core folders, lowest first; a folder may import only from those before it. */
const CORE = [
  ['units', 'numerics', 'firstHour', 'words'],
  ['materials'],
  ['sheet', 'press'],
  ['window'],
  ['heat', 'placement'],
  ['heatBench'],
  ['order', 'house'],
  ['draft'],
  ['bond'],
  ['judgement'],
  ['card'],
  ['advice'],
  ['run'],
  ['log'],
  ['formats'],
  ['find'],
];
const PURE_PACKAGES = ['zod', 'clipper2-ts', 'csv-parse', 'csv-stringify', 'simple-statistics', 'lru-cache', 'minisearch'];

const layer = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });
/** A test may come to what it tests by all that lies above it. */
const notTests = ({ from, ...rule }) => ({ ...rule, from: { ...from, pathNot: '\\.test\\.ts$' } });
const upward = CORE.slice(0, -1).map((folders, i) =>
  layer(
    `core-${folders.join('-')}-looks-down`,
    `^src/core/(${folders.join('|')})/`,
    `^src/core/(${CORE.slice(i + 1)
      .flat()
      .join('|')})/`,
  ),
);
const siblings = CORE.filter((folders) => folders.length > 1 && !folders.includes('units')).flatMap(([one, other]) => [
  layer(`core-${one}-apart-from-${other}`, `^src/core/${one}/`, `^src/core/${other}/`),
  layer(`core-${other}-apart-from-${one}`, `^src/core/${other}/`, `^src/core/${one}/`),
]);

export default {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...upward.map(notTests),
    ...siblings,
    layer('core-knows-nobody', '^src/core/', '^src/(contract|server|pages|views|ui|workers)/'),
    {
      name: 'core-only-pure-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: ['node_modules', '^node:', '^[a-z]'],
        pathNot: ['^src/', ...PURE_PACKAGES.map((name) => `node_modules/${name}/`)],
        dependencyTypesNot: ['local'],
      },
    },
    {
      name: 'core-by-its-face',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/' },
      to: { path: '^src/core/([^/]+)/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'core-by-its-face-from-outside',
      severity: 'error',
      from: { pathNot: '^src/core/' },
      to: { path: '^src/core/[^/]+/', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
    layer('contract-looks-down', '^src/contract/', '^src/(server|pages|views|ui|workers)/'),
    {
      name: 'server-shows-nothing-to-views',
      severity: 'error',
      from: { path: '^src/server/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(pages|views|ui|workers)/' },
    },
    // what is stored knows nothing of how it is asked for, and the database nothing of what is stored in it
    notTests(layer('stores-know-no-http', '^src/server/(stores|devices)/', '^src/server/(http|work)/(?!task)')),
    notTests(layer('database-at-the-bottom', '^src/server/db/', '^src/server/(stores|devices|http|work)/')),
    layer('views-by-the-contract', '^src/(views|ui)/', '^src/(server|pages)/'),
    layer('ui-below-views', '^src/ui/', '^src/views/'),
    {
      name: 'pages-show-views',
      severity: 'error',
      from: { path: '^src/pages/', pathNot: '^src/pages/api/' },
      to: { path: '^src/(server|core)/' },
    },
    layer('endpoints-show-nothing', '^src/pages/api/', '^src/(views|ui|workers)/'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
};

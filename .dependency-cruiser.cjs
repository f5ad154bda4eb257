/**
 * The floors: core <- shared <- server, app; and inside core the order of the trade. A broken border fails
 * the test run.
 */
const ORDER = [
  'quantity',
  'working',
  'shape',
  'calendar',
  'people',
  'ground',
  'calibration',
  'devices',
  'label',
  'plan',
  'lanes',
  'stock',
  'weather',
  'simulated',
  'season',
  'draft',
  'conditions',
  'rules',
  'job',
  'program',
  'run',
]

/** Parts of the app that every place uses. */
const SHARED_PLACES = ['chart', 'field', 'form', 'map', 'shell', 'working']

const coreOrder = ORDER.map((name, index) => ({
  name: `core-${name}-looks-up-only`,
  severity: 'error',
  from: { path: `^core/${name}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/(${ORDER.slice(index + 1).join('|') || 'nothing'})/` },
}))
  .filter(({ to }) => !to.path.includes('(nothing)'))
  // quantity and working quote each other's figures; they are one floor.
  .map((rule) =>
    rule.from.path === '^core/quantity/'
      ? { ...rule, to: { path: rule.to.path.replace('working|', '') } }
      : rule,
  )

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    // Packages that only compute: cutting polygons, reading XML, the sun and checking shapes are done better
    // there than here (docs/decisions/008).
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^core/|^node_modules/(clipper2-ts|saxes|astronomy-engine|polylabel|valibot)/' },
    },
    {
      name: 'shared-above-core-only',
      severity: 'error',
      from: { path: '^shared/' },
      to: { path: '^(app|server|demo)/' },
    },
    {
      name: 'no-root-aliases',
      severity: 'error',
      from: { path: '^(app|server|shared|core|demo)/' },
      to: { path: '^(~~|@@|~/)', pathNot: '^~/(composables|components|stores|assets)/' },
    },
    { name: 'app-never-server', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|demo)/' } },
    { name: 'server-never-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    {
      name: 'demo-above-core-and-shared',
      severity: 'error',
      from: { path: '^demo/' },
      to: { path: '^(app|server)/' },
    },
    {
      name: 'queries-only-in-repositories',
      severity: 'error',
      from: { path: '^server/(api|endpoints|services|middleware|http)/' },
      to: { path: 'node_modules/(sequelize|pg)/' },
    },
    {
      name: 'core-ground-floor',
      comment: 'What lies beside the rooms of core is below all of them, but for quantities.',
      severity: 'error',
      from: { path: '^core/[^/]+\\.ts$', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/(?!quantity/)[^/]+/' },
    },
    {
      name: 'app-places-apart',
      comment: 'A place of the app knows those that all share, and no other.',
      severity: 'error',
      from: { path: '^app/(?:components|composables)/([^/]+)/' },
      to: {
        path: '^app/(?:components|composables)/[^/]+/',
        pathNot: `^app/(?:components|composables)/($1|${SHARED_PLACES.join('|')})/`,
      },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot:
          '\\.(test|d)\\.ts$|^app/(pages|layouts|components|composables|app)|^server/http/errorHandler',
      },
      to: {},
    },
    ...coreOrder,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: '.nuxt/tsconfig.app.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
      extensions: ['.ts', '.mjs', '.js', '.vue', '.json'],
    },
  },
}

// Imports go one way: core, then livemap and contract, then server, web and tools. See docs/architecture.md.
const forbid = (name, comment, from, to) => ({ name, comment, severity: 'error', from: { path: from }, to: { path: to } });

/** The server's features from below, as docs/architecture.md has them: each knows those before it and none after. */
const SERVER = ['acts', 'workers', 'accounts', 'classes', 'files', 'assignments', 'live', 'checks', 'sheets', 'beginnings', 'shares', 'works', 'versions', 'own-maps', 'gatherings', 'showings', 'submissions', 'class-readings', 'marking', 'reviews', 'class-insight', 'papers', 'shared-pages', 'gradebook', 'revising', 'persons', 'today'];
const inOrder = SERVER.slice(0, -1).map((feature, i) =>
  forbid(`${feature}-knows-what-is-below`, 'the features of the server stand on each other in one order', `^apps/server/src/${feature}/`, `^apps/server/src/(${SERVER.slice(i + 1).join('|')})/`));

module.exports = {
  forbidden: [
    ...inOrder,
    forbid('common-knows-no-feature', 'what all features stand on knows none of them', '^apps/server/src/common/', `^apps/server/src/(${SERVER.join('|')})/`),
    forbid('web-common-knows-no-feature', 'what all pages stand on knows none of them', '^apps/web/src/(common|ui)/', '^apps/web/src/(?!common/|ui/|testing/)[^/]+/'),
    { name: 'the-roof-is-above', comment: 'routes and shell know the pages, and no page knows them', severity: 'error', from: { path: '^apps/web/src/(?!app/|main\\.tsx$)' }, to: { path: '^apps/web/src/app/' } },
    forbid('ui-knows-no-server', 'parts of the interface know nothing of what is asked of the server', '^apps/web/src/ui/', '^apps/web/src/common/(api|queries)'),
    forbid('core-stands-alone', 'core imports only general-purpose pure libraries', '^packages/core/src', '^(packages/(livemap|contract|formats)|apps|demo)|node_modules/(yjs|react|@nestjs|typeorm|zustand|@xyflow)/'),
    { name: 'core-has-no-node', comment: 'core has no Node', severity: 'error', from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$|/testing/' }, to: { dependencyTypes: ['core'] } },
    forbid('the-map-is-below', 'the model of a map knows no drawing and no requirement', '^packages/core/src/map/(?!.*\\.test)', '^packages/core/src/(geometry|drawn|map-index|requirements|checking|evidence|advice|examples|render|formats|commands|wording)/'),
    forbid('geometry-draws-maps', 'geometry knows the model alone', '^packages/core/src/geometry/(?!.*\\.test)', '^packages/core/src/(drawn|map-index|requirements|checking|evidence|advice|examples|render|formats|commands|wording)/'),
    forbid('marks-know-the-model', 'a mark knows the model and its geometry', '^packages/core/src/drawn/(?!.*\\.test)', '^packages/core/src/(map-index|requirements|checking|evidence|advice|examples|render|formats|commands|wording)/'),
    forbid('sentences-at-the-edge', 'checks and commands answer with codes; only what is read by people makes sentences', '^packages/core/src/(map|geometry|drawn|map-index|requirements|checking|evidence|examples|commands|words|propositions)/(?!.*\\.test)', '^packages/core/src/wording/'),
    forbid('types-know-no-checking', 'requirement types are what checking works with', '^packages/core/src/requirements/(?!.*\\.test)', '^packages/core/src/(checking|evidence|advice|examples|formats)/'),
    forbid('contract-below-apps', 'contract is shared by server and web and knows neither', '^packages/contract/src', '^(apps|demo|packages/livemap)'),
    forbid('formats-above-core', 'formats know core and the library of pictures', '^packages/formats/src', '^(apps|demo|packages/(contract|livemap))'),
    forbid('livemap-below-apps', 'livemap knows core alone', '^packages/livemap/src', '^(apps|demo|packages/contract)'),
    forbid('web-knows-no-server', 'web and server meet in contract', '^apps/web', '^(apps/(server|cli)|demo)'),
    forbid('server-knows-no-web', 'server and web meet in contract; the demo is loaded by name where it is wanted', '^apps/server/src', '^(apps/(web|cli)|demo)'),
    forbid('tools-know-core', 'the command line needs core and formats alone', '^apps/cli', '^(apps/(web|server)|demo)'),
    {
      name: 'features-by-their-index', severity: 'error', comment: 'a feature uses of another what its index exports',
      // The roof alone opens pages one by one, each when it is first needed.
      from: { path: '^apps/(server|web)/src/([^/]+)/', pathNot: '^apps/web/src/app/' },
      // common and database are ground that all stand on; ui and testing are parts, not features.
      to: { path: '^apps/(server|web)/src/(?!(?:common|database|ui|testing|index\\.ts|main\\.tsx?)\\b)[^/]+/', pathNot: '^apps/$1/src/($2/|[^/]+/index\\.ts$|workers/thread\\.ts$)' },
    },
    { name: 'no-circles', comment: 'data walks one way', severity: 'error', from: { path: '^(packages|apps|demo)' }, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|dist/' }, exclude: { path: '/dist/|/generated/' },
    tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { conditionNames: ['import', 'types', 'default'], extensions: ['.ts', '.tsx', '.js', '.mjs'] },
  },
};

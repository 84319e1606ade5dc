/** The arrows of the house: app → ui → store → workers → core. Everyone may read core; nobody looks back up. */
const above = (...rooms) => `^src/(${rooms.join('|')})/`;
const npm = (...names) => `(^|node_modules/)(${names.join('|')})(/|$)`;

/** The floors of the core, lowest first: a district imports from floors below its own. See src/core/README.md. */
const floors = [['units'], ['light', 'sky'], ['things'], ['site'], ['judge'], ['measure'], ['answer'], ['plan'], ['exchange']];
const district = (...names) => `^src/core/(${names.join('|')})/`;
const downwards = floors.flatMap((floor, i) =>
  floor.map((name) => ({
    name: `core-${name}-imports-only-from-below`,
    severity: 'error',
    from: { path: district(name), pathNot: '\\.test\\.ts$' },
    to: {
      path: district(
        ...floors
          .slice(i)
          .flat()
          .filter((other) => other !== name),
        'none',
      ),
    },
  })),
);

module.exports = {
  forbidden: [
    ...downwards,
    {
      name: 'core-has-no-other-districts',
      severity: 'error',
      comment: 'A new district gets a floor in this file and a line in src/core/README.md.',
      from: { path: '^src/core/', pathNot: district(...floors.flat()) },
      to: {},
    },
    {
      name: 'core-is-handed-its-tables',
      severity: 'error',
      comment: 'Crops, lamps and containers come as `Tables`: a person may have some of their own.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/things/tables/libraryTables' },
    },
    {
      name: 'core-knows-no-other-room',
      severity: 'error',
      comment: 'Physics must run in a worker, a test and on paper.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: above('workers', 'store', 'ui', 'app') },
    },
    {
      name: 'core-uses-few-libraries',
      severity: 'error',
      comment: 'Only pure arithmetic libraries; add one here knowingly.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypesNot: ['local', 'type-only', 'type-import'],
        pathNot: ['^src/', npm('d3-contour', 'd3-array', 'internmap', 'jstat')],
      },
    },
    { name: 'workers-know-only-core', severity: 'error', from: { path: '^src/workers/' }, to: { path: above('store', 'ui', 'app') } },
    {
      name: 'worker-entry-is-loaded-by-url',
      severity: 'error',
      comment: 'Use the *.client.ts: importing the entry would run it in the page.',
      from: { pathNot: '\\.test\\.ts$' },
      to: { path: '\\.worker\\.ts$', dependencyTypesNot: ['type-only', 'type-import'] },
    },
    {
      name: 'store-knows-no-view',
      severity: 'error',
      from: { path: '^src/store/' },
      to: { path: [above('ui', 'app'), npm('react', 'react-dom', 'next'), 'node_modules/zustand/(esm/)?(index|react|traditional)\\.'] },
    },
    {
      name: 'ui-asks-the-store-not-the-worker',
      severity: 'error',
      from: { path: '^src/ui/', pathNot: '\\.test\\.tsx?$' },
      to: { path: above('workers', 'app'), dependencyTypesNot: ['type-only', 'type-import'] },
    },
    {
      name: 'app-holds-only-routes',
      severity: 'error',
      comment: 'Pages show views; a door for scripts (app/api) has no view and asks the store itself.',
      from: { path: '^src/app/', pathNot: '^src/app/api/' },
      to: { path: above('workers', 'core', 'store') },
    },
    { name: 'doors-ask-the-store', severity: 'error', from: { path: '^src/app/api/' }, to: { path: above('workers', 'core', 'ui') } },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-test-code-in-the-product',
      severity: 'error',
      from: { path: '^src/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '\\.(test|cases)\\.tsx?$|^test/|' + npm('fast-check', 'jest', '@jest') },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      comment: 'A file that nobody imports and that imports nobody is dead.',
      from: { orphan: true, pathNot: ['\\.d\\.ts$', '\\.test\\.tsx?$', '\\.worker\\.ts$', '^src/app/'] },
      to: {},
    },
    { name: 'nothing-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    { name: 'no-undeclared-package', severity: 'error', from: {}, to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true, // see `import type` too
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
};

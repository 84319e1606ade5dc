const { options } = require('./.dependency-cruiser.cjs');

/** No folder of core, workers or store reaches itself through others. Tests are left out: they may look at everything. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/(core|workers|store)' },
      to: { circular: true },
    },
  ],
  options: { ...options, exclude: { path: '\\.(test|cases)\\.tsx?$' } },
};

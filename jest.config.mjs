import nextJest from 'next/jest.js';

const withNext = nextJest({ dir: './' })({
  testEnvironment: 'node', // a view's test says `@jest-environment jsdom` at its top
  roots: ['<rootDir>/src', '<rootDir>/scripts/language'],
  testTimeout: 120_000, // properties are many; how fast a machine is, is no test
  // Jest looks globals up anew each time, which was a quarter of what all tests took: the light asks for them by the million.
  sandboxInjectedGlobals: [
    ...['Math', 'Number', 'Infinity', 'Object', 'Array', 'Map', 'Set', 'WeakMap', 'JSON', 'String', 'Boolean', 'RegExp', 'Error'],
    ...['Float64Array', 'Float32Array', 'Int32Array', 'Int16Array', 'Uint32Array', 'Uint16Array', 'Uint8Array'],
  ],
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/test/toBeWithin.ts', '<rootDir>/test/seeded.ts'],
});

/** Next leaves packages as they are; these come as modules only (three is the other reader of our IES files). */
export default async function config() {
  const settings = await withNext();
  return {
    ...settings,
    moduleNameMapper: { ...settings.moduleNameMapper, '^lucide-react$': '<rootDir>/test/icons.ts' },
    transformIgnorePatterns: ['/node_modules/(?!(three|d3-contour|d3-array|internmap|ical.js|timezones-ical-library)/)'],
  };
}

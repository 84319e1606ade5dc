import nextJest from 'next/jest.js';

const withNext = nextJest({ dir: './' })({
  testEnvironment: 'node', // a view's test says `@jest-environment jsdom` at its top
  roots: ['<rootDir>/src', '<rootDir>/scripts/language'],
  testTimeout: 120_000, // properties are many; how fast a machine is, is no test
  sandboxInjectedGlobals: ['Math'], // jest looks globals up anew each time; the light asks for Math by the million
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/test/toBeWithin.ts', '<rootDir>/test/seeded.ts'],
});

/** Next leaves packages as they are; these come as modules only (three is the other reader of our IES files). */
export default async function config() {
  return {
    ...(await withNext()),
    transformIgnorePatterns: ['/node_modules/(?!(three|d3-contour|d3-array|internmap|ical.js|timezones-ical-library)/)'],
  };
}

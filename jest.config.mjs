import nextJest from 'next/jest.js';

const withNext = nextJest({ dir: './' })({
  testEnvironment: 'node', // a view's test says `@jest-environment jsdom` at its top
  roots: ['<rootDir>/src'],
  sandboxInjectedGlobals: ['Math'], // jest looks globals up anew each time; the light asks for Math by the million
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/test/toBeWithin.ts'],
});

/** Next leaves packages as they are; three, whose reader checks our IES files, comes as modules only. */
export default async function config() {
  return { ...(await withNext()), transformIgnorePatterns: ['/node_modules/(?!three/)'] };
}

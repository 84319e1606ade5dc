import nextJest from 'next/jest.js';

export default nextJest({ dir: './' })({
  testEnvironment: 'node', // a view's test says `@jest-environment jsdom` at its top
  roots: ['<rootDir>/src'],
  sandboxInjectedGlobals: ['Math'], // jest looks globals up anew each time; the light asks for Math by the million
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/test/toBeWithin.ts'],
});

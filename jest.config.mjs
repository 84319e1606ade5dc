import nextJest from 'next/jest.js';

export default nextJest({ dir: './' })({
  testEnvironment: 'node', // a view's test says `@jest-environment jsdom` at its top
  roots: ['<rootDir>/src'],
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/test/toBeWithin.ts'],
});

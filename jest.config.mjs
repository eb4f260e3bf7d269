import shared from './jest.shared.mjs';

const { forceExit, ...world } = shared;

/** Tests of what has an interface or decorated classes: each file in a world of its own, as Jest makes it. */
const apps = {
  ...world,
  displayName: 'apps',
  // A busy machine must not fail them by the clock.
  testTimeout: 60_000,
  setupFiles: ['<rootDir>/jest.setup.mjs'],
  testMatch: ['<rootDir>/apps/**/src/**/*.test.{ts,tsx}'],
};

/**
 * Tests of computation run in Node.js as it is: in the worlds Jest makes, `Math` and every other global are asked for
 * through an interceptor, and a layout took up to twenty times as long. Packages find each other built, as the product does.
 */
const packages = {
  displayName: 'packages',
  runner: 'jest-light-runner',
  setupFiles: ['<rootDir>/jest.plain.mjs', '<rootDir>/jest.setup.mjs'],
  testMatch: ['<rootDir>/{packages,demo}/**/src/**/*.test.ts'],
  transform: {},
  extensionsToTreatAsEsm: world.extensionsToTreatAsEsm,
  modulePathIgnorePatterns: world.modulePathIgnorePatterns,
};

export default {
  forceExit,
  // By itself it would leave one of two cores idle.
  maxWorkers: 2,
  projects: [packages, apps],
};

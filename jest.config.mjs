import shared from './jest.shared.mjs';

/** Properties run many cases; a busy machine must not fail them by the clock. */
export default {
  ...shared,
  setupFiles: ['<rootDir>/jest.setup.mjs'],
  testTimeout: 60_000,
  testMatch: ['<rootDir>/{packages,apps,demo}/**/src/**/*.test.{ts,tsx}'],
  // By itself it would leave one of two cores idle.
  maxWorkers: 2,
};

import shared from './jest.shared.mjs';

/** Tests over HTTP and WebSocket against the built server and a real MariaDB, started once for all files. */
export default {
  ...shared,
  testMatch: ['<rootDir>/apps/server/test/**/*.test.ts'],
  globalSetup: '<rootDir>/apps/server/test/setup/start.mjs',
  globalTeardown: '<rootDir>/apps/server/test/setup/stop.mjs',
  testTimeout: 120_000,
  maxWorkers: 2,
};

import shared from './jest.shared.mjs';

export default { ...shared, testMatch: ['<rootDir>/{packages,apps,demo}/**/src/**/*.test.ts'] };

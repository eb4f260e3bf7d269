const compile = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', decorators: true, tsx },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      target: 'es2022',
    },
    module: { type: 'es6' },
  },
];

// What unit tests and server tests share. ESM throughout; see the two configurations beside this file.
export default {
  rootDir: '.',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.ts$': compile(false), '\\.tsx$': compile(true) },
  moduleNameMapper: {
    '^@ichnograph/(core|contract|formats|library|livemap)$': '<rootDir>/packages/$1/src/index.ts',
    '^@ichnograph/formats/node$': '<rootDir>/packages/formats/src/node.ts',
    '^#english$': '<rootDir>/packages/core/english-in-node.mjs',
    '\\.css$': '<rootDir>/apps/web/src/testing/no-style.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  // A test that hangs fails by its own timeout; what it left open must not hold up the rest.
  forceExit: true,
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  modulePathIgnorePatterns: ['/dist/', '<rootDir>/.data/'],
};

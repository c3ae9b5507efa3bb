const transform = {
  '^.+\\.tsx?$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } } }],
};

const moduleNameMapper = {
  '^@/(.*)$': '<rootDir>/src/$1',
  '^#(species|demo|examples|schemas)/(.*)$': '<rootDir>/$1/$2',
};

function project(displayName, roots) {
  return {
    displayName,
    testEnvironment: 'node',
    roots,
    transform,
    moduleNameMapper,
    testMatch: ['**/*.test.ts'],
  };
}

/** The browser tests drive the built app and run apart: `npm run test:browser`. */
const config = {
  // A busy machine may be many times slower; a test waits for conditions and fails by them.
  testTimeout: 60_000,
  projects: [
    project('code', ['<rootDir>/src', '<rootDir>/tests/house']),
    project('browser', ['<rootDir>/tests/browser']),
  ],
};

export default config;

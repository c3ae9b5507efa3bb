const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } } }];

/** Packages that ship modules only, which Jest cannot load as they are. */
const MODULES_ONLY = ['d3-array', 'd3-random', 'internmap'];

const moduleNameMapper = {
  '^@/(.*)$': '<rootDir>/src/$1',
  '^#(species|demo|examples|schemas)/(.*)$': '<rootDir>/$1/$2',
};

function project(displayName, roots) {
  return {
    displayName,
    testEnvironment: 'node',
    roots,
    transform: { '^.+\\.(tsx?|m?js)$': swc },
    transformIgnorePatterns: [`/node_modules/(?!(${MODULES_ONLY.join('|')})/)`],
    moduleNameMapper,
    testMatch: ['**/*.test.ts'],
  };
}

/** The browser tests drive the built app and run apart: `npx jest --selectProjects=browser --maxWorkers=2`. */
const config = {
  // A busy machine may be many times slower; a test waits for conditions and fails by them.
  testTimeout: 60_000,
  projects: [
    project('code', ['<rootDir>/src', '<rootDir>/tests/house']),
    project('browser', ['<rootDir>/tests/browser']),
  ],
};

export default config;

const config = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  transform: {
    '^.+\\.tsx?$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } } }],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^#species/(.*)$': '<rootDir>/species/$1' },
  testMatch: ['**/*.test.ts'],
};

export default config;

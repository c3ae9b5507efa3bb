import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['knex', 'better-sqlite3', 'pino', 'bwip-js', 'piscina', 'highs'],
  poweredByHeader: false,
  reactStrictMode: true,
  typescript: { tsconfigPath: 'tsconfig.build.json' },
  outputFileTracingRoot: process.cwd(),
  turbopack: { root: process.cwd() },
};

export default config;

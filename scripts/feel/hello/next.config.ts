import type { NextConfig } from 'next';
import { join } from 'node:path';

const root = join(process.cwd(), '../../..');

const config: NextConfig = {
  outputFileTracingRoot: root,
  turbopack: { root },
};

export default config;
